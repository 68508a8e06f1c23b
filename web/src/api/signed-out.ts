import { useSyncExternalStore } from 'react';

let isSignedOut = false;
const listeners = new Set<() => void>();

function set(value: boolean): void {
  if (isSignedOut === value) return;
  isSignedOut = value;
  for (const listener of listeners) listener();
}

/** The session ended under an open page: the page stays, and asks for signing in. */
export function markSignedOut(): void {
  set(true);
}

export function markSignedIn(): void {
  set(false);
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}

export function useIsSignedOut(): boolean {
  return useSyncExternalStore(subscribe, () => isSignedOut);
}
