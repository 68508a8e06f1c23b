import { MutationCache, QueryCache, QueryClient } from '@tanstack/react-query';
import { ApiProblem, isSignedOut, mayPass } from './problem.ts';

const TRY_AGAIN_AFTER = 2500;
/** A server that is away comes back; a fault that stays is shown after so many tries. */
const TRIES_AWAY = 200;
const TRIES_AT_FAULT = 4;

function isWorthAnotherTry(count: number, error: unknown): boolean {
  const isFault = error instanceof ApiProblem && error.status === 500;
  return mayPass(error) && count < (isFault ? TRIES_AT_FAULT : TRIES_AWAY);
}

/** Server data stays here. What may pass is asked again; a refusal is not. */
export function createQueryClient(onSignedOut: () => void): QueryClient {
  const onError = (error: unknown): void => {
    if (isSignedOut(error)) onSignedOut();
  };
  const usual = { networkMode: 'always' as const, retry: isWorthAnotherTry, retryDelay: TRY_AGAIN_AFTER };
  return new QueryClient({
    queryCache: new QueryCache({ onError }),
    mutationCache: new MutationCache({ onError }),
    defaultOptions: { queries: { ...usual, staleTime: 15_000 }, mutations: usual },
  });
}
