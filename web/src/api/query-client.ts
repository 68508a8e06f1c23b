import { MutationCache, QueryCache, QueryClient } from '@tanstack/react-query';
import { ApiProblem, isAway } from './problem.ts';

const TRY_AGAIN_AFTER = 2500;

/** Server data stays here. A server that is away is asked again; a refusal is not. */
export function createQueryClient(onSignedOut: () => void): QueryClient {
  const onError = (error: unknown): void => {
    if (error instanceof ApiProblem && error.code === 'SIGNED_OUT') onSignedOut();
  };
  return new QueryClient({
    queryCache: new QueryCache({ onError }),
    mutationCache: new MutationCache({ onError }),
    defaultOptions: {
      queries: {
        staleTime: 15_000,
        networkMode: 'always',
        retry: (count, error) => isAway(error) && count < 200,
        retryDelay: TRY_AGAIN_AFTER,
      },
      mutations: {
        networkMode: 'always',
        retry: (count, error) => isAway(error) && count < 200,
        retryDelay: TRY_AGAIN_AFTER,
      },
    },
  });
}
