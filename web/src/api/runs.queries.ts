import type { Mark, RunPlace } from '@soft-lark/core';
import { infiniteQueryOptions, keepPreviousData, queryOptions } from '@tanstack/react-query';
import { api, dataOf, type Schemas } from './client.ts';

export type RunSummary = Schemas['RunSummaryDto'];
export type RunDetail = Schemas['RunDto'];
export type SentRun = Schemas['SentRunDto'];

/** Runs of one page of the log; where fewer come there are no more. */
const PAGE = 100;

/** What is looked for in the log. */
export interface RunsSought {
  readonly studentId?: string | undefined;
  readonly words?: string | undefined;
  readonly mark?: Mark | undefined;
  readonly place?: RunPlace | undefined;
}

interface RunsWanted extends RunsSought {
  readonly olderThan?: string | undefined;
  readonly most: number;
}

const fetchRuns = ({ most, ...wanted }: RunsWanted): Promise<RunSummary[]> => {
  const asked = Object.fromEntries(Object.entries(wanted).filter(([, value]) => value !== undefined && value !== ''));
  return dataOf(api.GET('/api/runs', { params: { query: { most, ...asked } } }));
};

/** The log page by page, of all students or of one, and what is looked for in it. */
export const runPagesQuery = (sought: RunsSought) =>
  infiniteQueryOptions({
    queryKey: ['runs', sought],
    queryFn: ({ pageParam }) => fetchRuns({ ...sought, olderThan: pageParam, most: PAGE }),
    placeholderData: keepPreviousData,
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

export const correctRun = (runId: string, body: Schemas['NewRunCorrectionDto']): Promise<RunDetail> =>
  dataOf(api.POST('/api/runs/{runId}/corrections', { params: { path: { runId } }, body }));
