import { FormatError } from '../errors.ts';
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

/** House choice: an hour of quick notes, and notes as long as no breath. */
const MOST_NOTES = 20_000;
const LONGEST_BEATS = 10_000;
const SHORTEST_BEATS = 1 / 10_000;

/**
 * Refuses what no voice could sing, before anything is reckoned with it.
 *
 * @throws FormatError `TOO_LARGE`, `BROKEN_FILE`
 */
function checkNotes(notes: readonly RawNote[]): void {
  if (notes.length > MOST_NOTES)
    throw new FormatError(
      'TOO_LARGE',
      `The tune has ${String(notes.length)} notes; ${String(MOST_NOTES)} are the most that are read.`,
      'Cut it down to the bars you need.',
      { context: 'notes', notes: notes.length, most: MOST_NOTES },
    );
  const isPitch = (midi: number | undefined): boolean =>
    midi === undefined || (Number.isInteger(midi) && midi >= 0 && midi <= 127);
  const wrong = notes.find(({ midi, beats }) => !isPitch(midi) || !(beats >= SHORTEST_BEATS && beats <= LONGEST_BEATS));
  if (!wrong) return;
  const { midi, beats } = wrong;
  throw new FormatError(
    'BROKEN_FILE',
    isPitch(midi)
      ? `A note of the file lasts ${String(beats)} beats.`
      : `A note of the file is number ${String(midi)}, which is no pitch that is sung.`,
    'Open it in the program it was made with, and export it again.',
    isPitch(midi) ? { context: 'length', beats: { decimal: beats } } : { context: 'pitch', midi: String(midi) },
  );
}

/**
 * Tied notes become one, a slide with the note it arrives at becomes a glide; a note without a syllable goes on.
 *
 * @throws FormatError `TOO_LARGE`, `BROKEN_FILE` for what no voice could sing
 */
export function closeTies(notes: readonly RawNote[]): readonly MelodyEvent[] {
  checkNotes(notes);
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
