import { onePress } from './one-press.ts';
import { WebMidi, type ControlChangeMessageEvent, type NoteMessageEvent } from 'webmidi';

export type MidiProblem = 'NOT_HERE' | 'REFUSED' | 'NO_KEYBOARD';

export interface MidiKeys {
  /** Names of the keyboards that are there. */
  readonly names: readonly string[];
  readonly stop: () => void;
}

/** MIDI cannot be had; `code` says why. */
export class MidiError extends Error {
  readonly code: MidiProblem;

  constructor(code: MidiProblem) {
    super(code);
    this.name = 'MidiError';
    this.code = code;
  }
}

/** Source: MIDI 1.0, controller 64; from the middle on it is down. */
const SUSTAIN = 64;
const HALF_DOWN = 64;

/** Tells of a pedal that goes down, once each time. */
function pressedOnce(tell: () => void): (isDown: boolean, at: number) => void {
  const once = onePress();
  let wasDown = false;
  return (isDown, at) => {
    if (isDown && !wasDown) once(at, tell);
    wasDown = isDown;
  };
}

/** The library closes in its own time; opening it meanwhile would find it half shut. */
let closing: Promise<unknown> = Promise.resolve();
/** How many listen: the library is shut when the last of them stops. */
let listening = 0;

function leave(): void {
  listening -= 1;
  if (listening === 0) closing = WebMidi.disable();
}

/**
 * Listens to every MIDI keyboard there is.
 *
 * @param onNote the key that was pressed, MIDI number
 * @param onGone a keyboard was pulled out
 * @param onPedal its sustain pedal went down; one that sends twice, or trembles on the way, went down once
 * @throws MidiError
 */
export async function startMidiKeys(
  onNote: (midi: number) => void,
  onGone: () => void,
  onPedal?: () => void,
): Promise<MidiKeys> {
  if (!('requestMIDIAccess' in navigator)) throw new MidiError('NOT_HERE');
  await closing;
  try {
    await WebMidi.enable();
  } catch {
    throw new MidiError('REFUSED');
  }
  listening += 1;
  const { inputs } = WebMidi;
  if (inputs.length === 0) {
    leave();
    throw new MidiError('NO_KEYBOARD');
  }
  const pedal = pressedOnce(() => onPedal?.());
  const listeners = inputs.flatMap((input) => [
    input.addListener('noteon', ({ note }: NoteMessageEvent) => {
      onNote(note.number);
    }),
    input.addListener('controlchange', ({ controller, rawValue = 0, timestamp }: ControlChangeMessageEvent) => {
      if (controller.number === SUSTAIN) pedal(rawValue >= HALF_DOWN, timestamp);
    }),
  ]);
  WebMidi.addListener('disconnected', onGone);
  return {
    names: inputs.map(({ name }) => name),
    stop: () => {
      WebMidi.removeListener('disconnected', onGone);
      for (const listener of listeners.flat()) listener.remove();
      leave();
    },
  };
}
