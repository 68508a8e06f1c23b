import { useInfiniteQuery } from '@tanstack/react-query';
import { runPagesQuery, type RunsSought, type RunSummary } from '../../api/runs.queries.ts';

export interface LoggedRuns {
  /** The latest first, as far as they have been asked for; nothing before the first page has come. */
  readonly runs: readonly RunSummary[] | undefined;
  readonly error: Error | null;
  readonly retry: () => void;
  /** Asks for the page before; nothing where there is none. */
  readonly earlier: (() => void) | undefined;
  readonly isLoading: boolean;
}

/** The log of all students or of one, or what is looked for in it, page by page. */
export function useRuns(sought: RunsSought): LoggedRuns {
  const pages = useInfiniteQuery(runPagesQuery(sought));
  return {
    runs: pages.data?.pages.flat(),
    error: pages.error,
    retry: () => void pages.refetch(),
    earlier: pages.hasNextPage ? () => void pages.fetchNextPage() : undefined,
    isLoading: pages.isFetchingNextPage,
  };
}
