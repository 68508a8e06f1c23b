import type { HeldNote, PitchFrame } from './listening.types.ts';
import { medianOf, voicedStretches, type Moment } from './voiced.ts';

/** A note counts when it is held so long, so steadily. */
export const HELD = { leastSeconds: 0.6, withinSemitones: 0.6 };
/** A wobble shorter than this does not end a note. */
const WOBBLE_SECONDS = 0.1;

function noteOf(window: readonly Moment[], least: number): HeldNote | null {
  const [first] = window;
  const last = window.at(-1);
  if (!first || !last || last.t - first.t < least) return null;
  return {
    midi: Math.round(medianOf(window.map(({ pitch }) => pitch))),
    startSeconds: first.t,
    seconds: last.t - first.t,
  };
}

/** Splits a stretch where the pitch leaves the note for good. */
function notesOf(stretch: readonly Moment[], least: number): readonly HeldNote[] {
  const notes: HeldNote[] = [];
  let window: Moment[] = [];
  let strays: Moment[] = [];
  const close = (): void => {
    const note = noteOf(window, least);
    if (note) notes.push(note);
  };
  for (const moment of stretch) {
    const centre = medianOf(window.slice(-30).map(({ pitch }) => pitch));
    if (window.length === 0 || Math.abs(moment.pitch - centre) <= HELD.withinSemitones) {
      window.push(moment);
      strays = [];
    } else {
      strays.push(moment);
      if (moment.t - (strays[0]?.t ?? 0) < WOBBLE_SECONDS) continue;
      close();
      window = strays;
      strays = [];
    }
  }
  close();
  return notes;
}

/**
 * The notes that were held: 0.6 s or more within 60 cents, clear enough; the median pitch, rounded.
 *
 * @param frames in order of time, 20 ms apart or less
 * @param leastSeconds how long a note is held to count; shorter for a tune than for a range check
 */
export function heldNotes(
  frames: readonly PitchFrame[],
  leastSeconds: number = HELD.leastSeconds,
): readonly HeldNote[] {
  return voicedStretches(frames).flatMap((stretch) => notesOf(stretch, leastSeconds));
}
