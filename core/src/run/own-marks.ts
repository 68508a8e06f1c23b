import { OWN_MARKS, type Mark } from '../past/index.ts';
import type { Exercise } from '../shelf/index.ts';

type WatchFor = Exercise['watchFor'][number];

/** Something to watch for that only this exercise has a word for, and the mark it goes by on a key. */
type OwnWatchFor = Omit<WatchFor, 'mark'> & { readonly mark: (typeof OWN_MARKS)[number] };

/** What an exercise says to watch for that no common mark stands for, in its order; those after the third have no mark. */
export function ownMarks({ watchFor }: Pick<Exercise, 'watchFor'>): readonly OwnWatchFor[] {
  const own = watchFor.filter(({ mark }) => mark === undefined);
  return OWN_MARKS.flatMap((mark, index) => {
    const entry = own[index];
    return entry ? [{ ...entry, mark }] : [];
  });
}

/** The entries that a mark stands for. */
export function watchedBy(mark: Mark, exercise: Pick<Exercise, 'watchFor'>): readonly Omit<WatchFor, 'mark'>[] {
  return [...exercise.watchFor, ...ownMarks(exercise)].filter((entry) => entry.mark === mark);
}
