/** A context that can play on a device of one's choice; not every browser has it. */
interface Redirectable {
  readonly setSinkId: (id: string) => Promise<void>;
}

/** The device that the system plays on. */
export const USUAL_OUTPUT = '';

let context: AudioContext | undefined;
let wanted = USUAL_OUTPUT;

/** Whether this browser lets a page choose where it plays. */
export function canChooseOutput(): boolean {
  return 'AudioContext' in window && 'setSinkId' in AudioContext.prototype;
}

/**
 * Sends all that sounds to another device; one that is not there leaves it where the system plays.
 *
 * @param id of the device, as the browser gives it
 * @returns whether it plays there, or will once something sounds
 */
export async function sendSoundTo(id: string): Promise<boolean> {
  wanted = id;
  if (!context || !canChooseOutput()) return true;
  const sink = context as unknown as Redirectable;
  try {
    await sink.setSinkId(id);
    return true;
  } catch {
    if (id !== USUAL_OUTPUT) await sink.setSinkId(USUAL_OUTPUT).catch(() => undefined);
    return false;
  }
}

/** The one context that sounds, made when it is first wanted. */
export function soundContext(): AudioContext {
  if (!context) {
    context = new AudioContext({ latencyHint: 'interactive' });
    if (wanted !== USUAL_OUTPUT) void sendSoundTo(wanted);
  }
  return context;
}
