import { useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { addRoutine, routineQuery, type Routine } from './routines.queries.ts';
import type { Student } from './students.queries.ts';

/** House default for a lesson of half an hour. */
const USUAL_MINUTES = 10;

/** Puts an empty routine on the bench for a student. */
export function useNewRoutine(): UseMutationResult<Routine, Error, Pick<Student, 'id'>> {
  const { t } = useTranslation();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id: studentId }: Pick<Student, 'id'>) =>
      addRoutine({
        id: v7(),
        studentId,
        name: t('bench.untitled'),
        occasion: 'lesson',
        minutes: USUAL_MINUTES,
        steps: [],
      }),
    onSuccess: (routine) => {
      queries.setQueryData(routineQuery(routine.id).queryKey, routine);
      void queries.invalidateQueries({ queryKey: ['routines'], refetchType: 'inactive' });
      void queries.invalidateQueries({ queryKey: ['today'] });
    },
  });
}
