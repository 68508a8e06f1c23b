import type { Exercise } from '../shelf/index.ts';
import type { Statement } from '../statement.ts';
import type { ExerciseFault, ReadExercise } from './exercise-file.ts';

/** What an import would do with one item. */
export const VERDICTS = ['new', 'changed', 'same', 'refused'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface PlannedItem {
  /** Place in the file, 0 first. */
  readonly index: number;
  readonly name: string;
  readonly verdict: Verdict;
  /** Why it is refused. */
  readonly reason?: ExerciseFault | Statement<'import.twice' | 'import.shipped'>;
  readonly exercise?: Exercise;
}

const nameOf = (item: ReadExercise): string => ('exercise' in item ? item.exercise.name : item.name);

function isSame(a: Exercise, b: Exercise): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/**
 * What an import would do, before anything is stored.
 *
 * @param isOwn whether an id belongs to the studio's own exercises; those that ship are never written over
 */
export function planImport(
  items: readonly ReadExercise[],
  shelf: ReadonlyMap<string, Exercise>,
  isOwn: (id: string) => boolean,
): readonly PlannedItem[] {
  const met = new Set<string>();
  return items.map((item) => {
    const refused = (reason: PlannedItem['reason'] & object): PlannedItem => ({
      index: item.index,
      name: nameOf(item),
      verdict: 'refused',
      reason,
    });
    if (!('exercise' in item)) return refused(item.reason);
    const { index, exercise } = item;
    const { id, name } = exercise;
    if (met.has(id)) return refused({ code: 'import.twice', values: { id } });
    met.add(id);
    const here = shelf.get(id);
    if (!here) return { index, name, verdict: 'new', exercise };
    if (isSame(here, exercise)) return { index, name, verdict: 'same' };
    if (isOwn(id)) return { index, name, verdict: 'changed', exercise };
    return refused({ code: 'import.shipped' });
  });
}
