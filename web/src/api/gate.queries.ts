import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import { v7 } from 'uuid';
import { api, dataOf, type Schemas } from './client.ts';
import { studentTodayQuery } from './students.queries.ts';

export type VoiceLock = Schemas['LockDto'];

/** All that the gate ever locked for a student, the newest first. */
export const locksQuery = (studentId: string) =>
  queryOptions({
    queryKey: ['students', studentId, 'locks'],
    queryFn: () => dataOf(api.GET('/api/students/{studentId}/locks', { params: { path: { studentId } } })),
  });

interface Locking {
  readonly lock: (level: VoiceLock['level']) => void;
  readonly lift: (lockId: string, reason: string) => void;
  readonly isBusy: boolean;
  readonly error: Error | null;
}

/** Locks a voice and lifts a lock again, and lets every place know. */
export function useLocking(studentId: string): Locking {
  const queries = useQueryClient();
  const onSuccess = async (): Promise<void> => {
    void queries.invalidateQueries({ queryKey: ['today'] });
    void queries.invalidateQueries({ queryKey: locksQuery(studentId).queryKey });
    await queries.invalidateQueries({ queryKey: studentTodayQuery(studentId).queryKey });
  };
  const path = { studentId };
  const add = useMutation({
    mutationFn: (level: VoiceLock['level']) =>
      dataOf(api.POST('/api/students/{studentId}/locks', { params: { path }, body: { id: v7(), level } })),
    onSuccess,
  });
  const lift = useMutation({
    mutationFn: ({ lockId, reason }: { readonly lockId: string; readonly reason: string }) =>
      dataOf(
        api.POST('/api/students/{studentId}/locks/{lockId}/lift', {
          params: { path: { ...path, lockId } },
          body: { reason },
        }),
      ),
    onSuccess,
  });
  return {
    lock: add.mutate,
    lift: (lockId, reason) => {
      lift.mutate({ lockId, reason });
    },
    isBusy: add.isPending || lift.isPending,
    error: add.error ?? lift.error,
  };
}
