/** House choice, milliseconds: nobody presses a pedal twice in so short a time. */
const ONE_PRESS_MS = 250;

/** Lets an act through once a press: a pedal that sends twice, or trembles on the way, was pressed once. */
export function onePress(): (act: () => void) => void {
  let last = -Infinity;
  return (act) => {
    const now = performance.now();
    if (now - last <= ONE_PRESS_MS) return;
    last = now;
    act();
  };
}
