import { isSounding } from '../pattern/index.ts';
import type { Exercise } from './exercise.schema.ts';
import { patternOfWork } from './pattern-of.ts';

/** Fewer notes than this begin too many tunes to tell one. */
export const LEAST_PLAYED = 3;

/** The notes of a tune as hands play them, semitones from degree 1; a glide by where it begins and arrives. */
function notesOf({ work }: Pick<Exercise, 'work'>): readonly number[] {
  if (work.kind !== 'pattern') return [];
  return patternOfWork(work)
    .events.filter(isSounding)
    .flatMap(({ kind, from, to }) => (kind === 'glide' ? [from, to] : [from]));
}

/** Whether a tune begins with what was played, in whichever key. */
function begins(notes: readonly number[], played: readonly number[]): boolean {
  const moved = (played[0] ?? 0) - (notes[0] ?? 0);
  return played.length <= notes.length && played.every((midi, index) => midi - moved === notes[index]);
}

/**
 * The exercises whose tune begins with what was played, in any key: those that end with it first, else in the order they came.
 *
 * @param played MIDI numbers, in the order they were played; under three call up nothing
 */
export function calledByPlaying<One extends Pick<Exercise, 'work'>>(
  exercises: readonly One[],
  played: readonly number[],
): readonly One[] {
  if (played.length < LEAST_PLAYED) return [];
  const found = exercises
    .map((exercise) => ({ exercise, notes: notesOf(exercise) }))
    .filter(({ notes }) => begins(notes, played));
  const isWhole = ({ notes }: (typeof found)[number]): boolean => notes.length === played.length;
  return [...found.filter(isWhole), ...found.filter((one) => !isWhole(one))].map(({ exercise }) => exercise);
}
