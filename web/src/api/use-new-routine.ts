import { useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { addRoutine, routineQuery, type Routine } from './routines.queries.ts';
import { sessionQuery } from './session.queries.ts';
import { dayText } from '../text/times.ts';
import type { Student } from './students.queries.ts';

/** A routine to be made for a student; `start` is what it begins with instead of nothing. */
export interface NewRoutine extends Pick<Student, 'id'> {
  readonly start?: Pick<Routine, 'name' | 'kind' | 'minutes' | 'steps'>;
}

/** Puts a new routine on the bench for a student. */
export function useNewRoutine(): UseMutationResult<Routine, Error, NewRoutine> {
  const { t } = useTranslation();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async ({ id: studentId, start }: NewRoutine) => {
      const { usualMinutes: minutes } = await queries.query({ ...sessionQuery, staleTime: 'static' });
      const empty = { name: t('bench.untitled'), kind: 'lesson' as const, minutes, steps: [] };
      return addRoutine({ id: v7(), studentId, ...empty, ...start });
    },
    onSuccess: (routine) => {
      queries.setQueryData(routineQuery(routine.id).queryKey, routine);
      void queries.invalidateQueries({ queryKey: ['routines'], refetchType: 'inactive' });
      void queries.invalidateQueries({ queryKey: ['today'] });
    },
  });
}

/** Goes to the piano with nothing planned: exercises are called up there. */
export function useJustStart(): { readonly justStart: (studentId: string) => void; readonly isPending: boolean } {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const { mutate, isPending } = useNewRoutine();
  const justStart = (id: string): void => {
    const session = queries.getQueryData(sessionQuery.queryKey);
    const minutes = session?.usualMinutes ?? 10;
    const start = {
      name: t('piano.open.named', { day: dayText(session?.today ?? new Date().toISOString()) }),
      kind: 'lesson' as const,
      minutes,
      steps: [],
    };
    mutate({ id, start }, { onSuccess: (routine) => void navigate(`/sing/${routine.id}`) });
  };
  return { justStart, isPending };
}

interface DraftFor {
  readonly draftFor: (studentId: string) => void;
  readonly isPending: boolean;
  readonly error: Error | null;
}

/** Puts a new routine on the bench for a student, goes there, and has it drafted. */
export function useDraftFor(): DraftFor {
  const navigate = useNavigate();
  const { mutate, isPending, error } = useNewRoutine();
  const draftFor = (id: string): void => {
    mutate({ id }, { onSuccess: (routine) => void navigate(`/routines/${routine.id}?draft=1`) });
  };
  return { draftFor, isPending, error };
}
