import type { LaidStep } from '@soft-lark/core';
import { useMemo } from 'react';
import type { Collection, Shelf, ShelfExercise } from '../../api/shelf.queries.ts';
import { byStage, readQuestion, searchOver } from './find-exercises.ts';
import { passes, type ShelfFilters } from './shelf-filters.ts';
import { useLaid } from './use-laid.ts';
import type { Placing } from './use-placed.ts';

const NOTHING: readonly ShelfExercise[] = [];

export interface Found {
  /** What stands on the shelf at all: neither put away nor another student's. */
  readonly standing: readonly ShelfExercise[];
  readonly found: readonly ShelfExercise[];
  readonly laid: ReadonlyMap<string, LaidStep>;
}

function isStanding({ own }: ShelfExercise, from: ShelfFilters['from'], studentId: string | undefined): boolean {
  if (own?.studentId && own.studentId !== studentId) return false;
  if (from === 'archived') return own?.isArchived === true;
  return own?.isArchived !== true && (from !== 'own' || own !== undefined);
}

/** Whether the student in hand can do it within the seconds wanted; anything does where none are. */
function fits(step: LaidStep | undefined, most: number | undefined): boolean {
  return most === undefined || !step || (!step.problem && step.seconds <= most);
}

/** What the shelf shows: searched, narrowed, and sorted by what fits the student in hand. */
export function useFound(
  shelf: Shelf | undefined,
  filters: ShelfFilters,
  collection: Collection | undefined,
  placing: Placing,
): Found {
  const { studentId, known, place } = placing;
  const all = useMemo(() => (shelf ? [...shelf.values()] : NOTHING), [shelf]);
  const { from } = filters;
  const standing = useMemo(
    () => byStage(all.filter((exercise) => isStanding(exercise, from, studentId))),
    [all, from, studentId],
  );
  const search = useMemo(() => searchOver(standing), [standing]);
  const laid = useLaid(standing, place);
  const found = useMemo(() => {
    const { letters, obstacles } = readQuestion(filters.q);
    const ids = search(letters);
    const ranked = ids === null ? standing : ids.flatMap((id) => shelf?.get(id) ?? []);
    const kept = ranked.filter(
      (exercise) =>
        passes(exercise, filters, obstacles, known) &&
        (collection === undefined || collection.exercises.includes(exercise.id)) &&
        fits(laid.get(exercise.id), filters.seconds),
    );
    // What was searched for stays in the order of the search; what was not is sorted by fit, then as it is sung.
    if (ids !== null) return kept;
    const isOut = ({ id }: ShelfExercise): number => Number(laid.get(id)?.problem !== undefined);
    return [...kept].sort((a, b) => isOut(a) - isOut(b));
  }, [search, standing, shelf, filters, known, collection, laid]);
  return { standing, found, laid };
}
