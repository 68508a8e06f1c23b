// What was started is stopped again, whenever and however the command is told to end.
const endings = [];
let isEnding = false;

/** Stops everything that was started, the last first, and ends. */
export async function end(code) {
  if (isEnding) return;
  isEnding = true;
  for (const stop of endings.reverse()) {
    try {
      await stop();
    } catch (error) {
      console.error(error instanceof Error ? error.message : error);
    }
  }
  process.exit(code);
}

/** Whether the command has been told to end. */
export function isOver() {
  return isEnding;
}

/** Has something stopped when the command ends. @returns {() => void} for what has ended by itself */
export function onEnd(stop) {
  endings.push(stop);
  return () => {
    const at = endings.indexOf(stop);
    if (at >= 0) endings.splice(at, 1);
  };
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(signal === 'SIGINT' ? 0 : 143));
