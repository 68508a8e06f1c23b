import { queryOptions } from '@tanstack/react-query';
import { api, dataOf, type Schemas } from './client.ts';
import type { Student } from './students.queries.ts';

export type RangeCheck = Schemas['RangeCheckDto'];
export type ConfirmedCheck = Schemas['ConfirmedCheckDto'];

/** Checks of one student, the oldest first. */
export const rangeChecksQuery = (studentId: string) =>
  queryOptions({
    queryKey: ['students', studentId, 'range-checks'],
    queryFn: () => dataOf(api.GET('/api/students/{studentId}/range-checks', { params: { path: { studentId } } })),
  });

/** Keeps a check the teacher has confirmed; the voice file takes its figures. */
export const confirmCheck = (studentId: string, body: ConfirmedCheck): Promise<Student> =>
  dataOf(api.POST('/api/students/{studentId}/range-checks', { params: { path: { studentId } }, body }));
