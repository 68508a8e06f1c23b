import { layGroup, type Exercise, type GroupMember, type GroupStep } from '@soft-lark/core';
import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import { dayContext, ofKind, useStudioAnswers } from '../../api/lay.ts';
import type { Routine } from '../../api/routines.queries.ts';
import { studentTodayQuery, type Student } from '../../api/students.queries.ts';
import { useNow } from '../../ui/clock.ts';

/** A routine worked out for a group, and the days of its singers that it rests on. */
export interface LaidForGroup {
  readonly routine: Routine;
  readonly steps: readonly GroupStep[];
  readonly singers: readonly GroupMember[];
}

/** A routine worked out for a group as its singers are today; nothing until all their days are known. */
export function useGroupSteps(
  members: readonly Student[],
  routine: Routine | undefined,
  shelf: ReadonlyMap<string, Exercise>,
): LaidForGroup | undefined {
  const now = useNow(600);
  const studio = useStudioAnswers();
  const days = useQueries({
    queries: members.map(({ id }) => studentTodayQuery(id)),
    combine: (results) => results.map(({ data }) => data),
  });
  return useMemo(() => {
    const known = days.flatMap((day) => day ?? []);
    if (!routine || known.length < members.length) return undefined;
    const singers = known.map((day) => ({
      id: day.student.id,
      context: { ...dayContext(day, studio, shelf, now), ...ofKind(routine.kind) },
    }));
    return { routine, steps: layGroup(routine.steps, singers, shelf), singers };
  }, [days, members, routine, shelf, studio, now]);
}
