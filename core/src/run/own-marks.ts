import { OWN_MARKS, type Mark } from '../past/index.ts';
import type { Exercise } from '../shelf/index.ts';

type WatchFor = Exercise['watchFor'][number];

/** Something to watch for that only this exercise has a word for, and the mark it goes by on a key. */
export interface OwnMark {
  readonly mark: (typeof OWN_MARKS)[number];
  readonly seen: string;
}

/** What an exercise says to watch for that no common mark stands for, in its order; those after the third have no mark. */
export function ownMarks({ watchFor }: Pick<Exercise, 'watchFor'>): readonly OwnMark[] {
  const own = watchFor.filter(({ mark }) => mark === undefined);
  return OWN_MARKS.flatMap((mark, index) => {
    const entry = own[index];
    return entry ? [{ mark, seen: entry.seen }] : [];
  });
}

/** The entries that a mark stands for. */
export function watchedBy(mark: Mark, exercise: Pick<Exercise, 'watchFor'>): readonly WatchFor[] {
  const own = ownMarks(exercise).find((one) => one.mark === mark);
  return exercise.watchFor.filter((entry) => (own ? entry.seen === own.seen && !entry.mark : entry.mark === mark));
}
