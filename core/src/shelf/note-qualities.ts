import { isSounding, type MarkKind } from '../pattern/index.ts';
import type { Exercise } from './exercise.schema.ts';
import { patternOfWork } from './pattern-of.ts';

type Sung = Pick<Exercise, 'register' | 'noise' | 'work'>;

/** Whether an event has one of two marks against each other; `undefined` where it has neither. The last mark counts. */
function markedAt({ work }: Pick<Exercise, 'work'>, index: number, yes: MarkKind, no: MarkKind): boolean | undefined {
  if (work.kind !== 'pattern') return undefined;
  const over = work.marks.filter(
    ({ kind, first, last }) => (kind === yes || kind === no) && index >= first && index <= last,
  );
  const last = over.at(-1);
  return last && last.kind === yes;
}

/**
 * Whether one event of an exercise is in heavy register: by its own mark, else as the exercise is.
 *
 * @param index of the event in the pattern
 */
export function isHeavyAt(exercise: Pick<Sung, 'register' | 'work'>, index: number): boolean {
  return markedAt(exercise, index, 'heavy', 'light') ?? exercise.register === 'heavy';
}

/** Whether one event of an exercise is loud: by its own mark, else as the exercise is. */
export function isLoudAt(exercise: Pick<Sung, 'noise' | 'work'>, index: number): boolean {
  return markedAt(exercise, index, 'loud', 'soft') ?? exercise.noise === 'loud';
}

/**
 * Semitones from the highest heavy note up to the top of the pattern, where single notes have a register of their own.
 *
 * @returns `null` where no note has one: the exercise’s register says it all; `Infinity` where none is left heavy
 * @example heavyBelowTop(`1:2 8`, mixed, the first note heavy) // 12
 */
export function heavyBelowTop(exercise: Pick<Sung, 'register' | 'work'>): number | null {
  const { work } = exercise;
  if (work.kind !== 'pattern' || !work.marks.some(({ kind }) => kind === 'heavy' || kind === 'light')) return null;
  const { events, high } = patternOfWork(work);
  const tops = events.flatMap((event, index) =>
    isSounding(event) && isHeavyAt(exercise, index) ? [Math.max(event.from, event.to)] : [],
  );
  return high - Math.max(...tops);
}

/** Source: house reading; mixed or loud work of this load takes what belt takes, whatever its register is called. */
const HEAVY_LOAD = 4;

/** Whether anything in an exercise is heavy: by register, by a mark, or because it is loud or mixed work of much load. */
export function hasHeavyNotes(exercise: Pick<Exercise, 'register' | 'work' | 'noise' | 'load'>): boolean {
  const { work } = exercise;
  return isHeavyWork(exercise) || (work.kind === 'pattern' && work.marks.some(({ kind }) => kind === 'heavy'));
}

/** Whether an exercise is heavy as a whole. */
export function isHeavyWork({ register, noise, load }: Pick<Exercise, 'register' | 'noise' | 'load'>): boolean {
  return register === 'heavy' || (load >= HEAVY_LOAD && (noise === 'loud' || register === 'mixed'));
}
