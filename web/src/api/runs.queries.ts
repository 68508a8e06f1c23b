import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api, dataOf, type Schemas } from './client.ts';

export type RunSummary = Schemas['RunSummaryDto'];
export type RunDetail = Schemas['RunDto'];
export type SentRun = Schemas['SentRunDto'];

/** Runs of one page of the log; where fewer come there are no more. */
const PAGE = 100;

interface RunsWanted {
  readonly studentId?: string | undefined;
  readonly olderThan?: string | undefined;
  readonly most: number;
}

const fetchRuns = ({ studentId, olderThan, most }: RunsWanted): Promise<RunSummary[]> =>
  dataOf(
    api.GET('/api/runs', {
      params: { query: { most, ...(studentId && { studentId }), ...(olderThan && { olderThan }) } },
    }),
  );

/** The log page by page, of all students or of one. */
export const runPagesQuery = (studentId?: string) =>
  infiniteQueryOptions({
    queryKey: ['runs', { studentId }],
    queryFn: ({ pageParam }) => fetchRuns({ studentId, olderThan: pageParam, most: PAGE }),
    initialPageParam: undefined as string | undefined,
    getNextPageParam: (page) => (page.length < PAGE ? undefined : page.at(-1)?.id),
  });

/** The latest runs of a student. */
export const latestRunsQuery = (studentId: string, most: number) =>
  queryOptions({ queryKey: ['runs', { studentId, most }], queryFn: () => fetchRuns({ studentId, most }) });

/** The last run of every student. */
export const lastRunsQuery = queryOptions({
  queryKey: ['runs', 'last'],
  queryFn: () => dataOf(api.GET('/api/runs/last')),
});

export const runQuery = (runId: string) =>
  queryOptions({
    queryKey: ['runs', runId],
    queryFn: () => dataOf(api.GET('/api/runs/{runId}', { params: { path: { runId } } })),
  });

export const dropRun = (runId: string): Promise<unknown> =>
  dataOf(api.DELETE('/api/runs/{runId}', { params: { path: { runId } } }));

export const sendRun = (runId: string, body: SentRun): Promise<RunDetail> =>
  dataOf(api.PUT('/api/runs/{runId}', { params: { path: { runId } }, body }));
