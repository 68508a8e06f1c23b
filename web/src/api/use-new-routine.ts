import { useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { addRoutine, routineQuery, type Routine } from './routines.queries.ts';
import type { Student } from './students.queries.ts';

/** House default for a lesson of half an hour. */
const USUAL_MINUTES = 10;

/** A routine to be made for a student; `start` is what it begins with instead of nothing. */
export interface NewRoutine extends Pick<Student, 'id'> {
  readonly start?: Pick<Routine, 'name' | 'kind' | 'minutes' | 'steps'>;
}

/** Puts a new routine on the bench for a student. */
export function useNewRoutine(): UseMutationResult<Routine, Error, NewRoutine> {
  const { t } = useTranslation();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id: studentId, start }: NewRoutine) =>
      addRoutine({
        id: v7(),
        studentId,
        name: t('bench.untitled'),
        kind: 'lesson',
        minutes: USUAL_MINUTES,
        steps: [],
        ...start,
      }),
    onSuccess: (routine) => {
      queries.setQueryData(routineQuery(routine.id).queryKey, routine);
      void queries.invalidateQueries({ queryKey: ['routines'], refetchType: 'inactive' });
      void queries.invalidateQueries({ queryKey: ['today'] });
    },
  });
}
