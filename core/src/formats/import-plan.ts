import type { Exercise } from '../shelf/index.ts';
import type { ReadExercise } from './exercise-file.ts';

/** What an import would do with one item. */
export const VERDICTS = ['new', 'changed', 'same', 'refused'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface PlannedItem {
  /** Place in the file, 0 first. */
  readonly index: number;
  readonly name: string;
  readonly verdict: Verdict;
  readonly reason?: string;
  readonly exercise?: Exercise;
}

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
    if (!('exercise' in item)) return { index: item.index, name: item.name, verdict: 'refused', reason: item.reason };
    const { index, exercise } = item;
    const { id, name } = exercise;
    if (met.has(id)) return { index, name, verdict: 'refused', reason: `“${id}” stands in the file twice.` };
    met.add(id);
    const here = shelf.get(id);
    if (!here) return { index, name, verdict: 'new', exercise };
    if (isSame(here, exercise)) return { index, name, verdict: 'same' };
    if (isOwn(id)) return { index, name, verdict: 'changed', exercise };
    return {
      index,
      name,
      verdict: 'refused',
      reason: 'It ships with Soft Lark and is not written over. Give it another id to have both.',
    };
  });
}
