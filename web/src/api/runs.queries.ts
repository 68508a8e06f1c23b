import { queryOptions } from '@tanstack/react-query';
import { api, dataOf, type Schemas } from './client.ts';

export type RunSummary = Schemas['RunSummaryDto'];
export type RunDetail = Schemas['RunDto'];
export type SentRun = Schemas['SentRunDto'];

export const runsQuery = (studentId?: string) =>
  queryOptions({
    queryKey: ['runs', { studentId }],
    queryFn: () => dataOf(api.GET('/api/runs', { params: { query: studentId === undefined ? {} : { studentId } } })),
  });

export const runQuery = (runId: string) =>
  queryOptions({
    queryKey: ['runs', runId],
    queryFn: () => dataOf(api.GET('/api/runs/{runId}', { params: { path: { runId } } })),
  });

export const sendRun = (runId: string, body: SentRun): Promise<RunDetail> =>
  dataOf(api.PUT('/api/runs/{runId}', { params: { path: { runId } }, body }));
