import { nearestFraction, toBeats } from '../pattern/index.ts';
import type { MelodyEvent } from '../song/index.ts';

/** Files round what they add up, the coarsest to a millionth of a whole note. Beats. */
const TOLERANCE = 2e-5;

/** A note as a file has it, before ties and slides are followed. */
export interface RawNote extends MelodyEvent {
  readonly isTiedOn?: boolean;
  readonly slidesOn?: boolean;
}

function eventOf({ midi, to, beats, syllable, continues }: RawNote): MelodyEvent {
  return {
    beats: toBeats(nearestFraction(beats, TOLERANCE)),
    ...(midi !== undefined && { midi }),
    ...(to !== undefined && { to }),
    ...(syllable !== undefined && { syllable }),
    ...(continues && { continues }),
  };
}

/** Tied notes become one, a slide with the note it arrives at becomes a glide; a note without a syllable goes on. */
export function closeTies(notes: readonly RawNote[]): readonly MelodyEvent[] {
  const hasWords = notes.some(({ syllable }) => syllable !== undefined);
  const joined: RawNote[] = [];
  for (const note of notes) {
    const before = joined.at(-1);
    if (before?.isTiedOn && before.midi !== undefined && (before.to ?? before.midi) === note.midi) {
      joined[joined.length - 1] = {
        ...before,
        beats: before.beats + note.beats,
        isTiedOn: note.isTiedOn ?? false,
        slidesOn: note.slidesOn ?? false,
      };
    } else if (before && before.midi === undefined && note.midi === undefined) {
      joined[joined.length - 1] = { beats: before.beats + note.beats };
    } else if (before?.slidesOn && before.midi !== undefined && note.midi !== undefined && before.to === undefined) {
      joined[joined.length - 1] = {
        ...before,
        to: note.midi,
        beats: before.beats + note.beats,
        slidesOn: false,
        isTiedOn: note.isTiedOn ?? false,
      };
    } else {
      const goesOn = hasWords && note.midi !== undefined && note.syllable === undefined && joined.length > 0;
      joined.push(goesOn ? { ...note, continues: true } : note);
    }
  }
  return joined.map(eventOf);
}
