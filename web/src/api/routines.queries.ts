import type { RoutineStep } from '@soft-lark/core';
import { queryOptions } from '@tanstack/react-query';
import { api, dataOf, type Schemas } from './client.ts';

export type Routine = Schemas['RoutineDto'];

/** Steps of the core as a routine keeps them: copies, that may be edited. */
export function stepsOf(steps: readonly RoutineStep[]): Routine['steps'] {
  return steps.map(({ settings: { struck, added, manners, lines, ...settings }, ...step }) => ({
    ...step,
    settings: {
      ...settings,
      ...(struck && { struck: [...struck] }),
      ...(added && { added: [...added] }),
      ...(manners && { manners: [...manners] }),
      ...(lines && { lines: [...lines] }),
    },
  }));
}

export const routinesQuery = (studentId?: string) =>
  queryOptions({
    queryKey: ['routines', { studentId }],
    queryFn: () =>
      dataOf(api.GET('/api/routines', { params: { query: studentId === undefined ? {} : { studentId } } })),
  });

export const routineQuery = (routineId: string) =>
  queryOptions({
    queryKey: ['routines', routineId],
    queryFn: () => dataOf(api.GET('/api/routines/{routineId}', { params: { path: { routineId } } })),
  });

export type RoutineVersion = Schemas['RoutineVersionDto'];

/** How a routine stood after each sitting, the latest first. */
export const routineVersionsQuery = (routineId: string) =>
  queryOptions({
    queryKey: ['routines', routineId, 'versions'],
    queryFn: () => dataOf(api.GET('/api/routines/{routineId}/versions', { params: { path: { routineId } } })),
    staleTime: 0,
  });

export const addRoutine = (body: Schemas['NewRoutineDto']): Promise<Routine> =>
  dataOf(api.POST('/api/routines', { body }));

export const changeRoutine = (routineId: string, body: Schemas['ChangedRoutineDto']): Promise<Routine> =>
  dataOf(api.PUT('/api/routines/{routineId}', { params: { path: { routineId } }, body }));

export const removeRoutine = (routineId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/routines/{routineId}', { params: { path: { routineId } } }));
