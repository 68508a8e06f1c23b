import { ApiProblem, isSignedOut, mayPass } from '../../api/problem.ts';
import { markSignedOut } from '../../api/signed-out.ts';
import { errorText, refusalOf } from '../../text/say.ts';

/** How an edited thing stands towards what the server has. */
export type SaveState<T> =
  | { readonly kind: 'saved' | 'waiting' | 'saving' | 'away'; readonly version: number }
  | { readonly kind: 'stale'; readonly version: number; readonly current: T }
  | { readonly kind: 'refused'; readonly version: number; readonly reason: string };

interface SaverOptions<E, T extends { readonly version: number }> {
  readonly version: number;
  readonly save: (edited: E, version: number) => Promise<T>;
  readonly onState: (state: SaveState<T>) => void;
  readonly onSaved: (saved: T) => void;
}

const QUIET_MS = 450;
const TRY_AGAIN_MS = 2500;

/** Saves what is edited a moment after the last change, one write at a time, and goes on when the server is back. */
export interface Saver<E> {
  readonly edited: (edited: E) => void;
  /** Saves over a version that another window wrote. */
  readonly over: (version: number) => void;
  /** Takes a version for the base of further edits, nothing being unsaved. */
  readonly rebase: (version: number) => void;
  readonly flush: () => void;
  readonly stop: () => void;
}

/** Says only what is news: a page that edits in answer to a state would go round for ever, and never come to saving. */
function sayNews<T>(onState: (state: SaveState<T>) => void, first: SaveState<T>): (state: SaveState<T>) => void {
  let said = first;
  return (state) => {
    const isNews = state.kind !== said.kind || state.version !== said.version || 'reason' in state;
    said = state;
    if (isNews) onState(state);
  };
}

export function createSaver<E, T extends { readonly version: number }>({
  version: base,
  save,
  onState,
  onSaved,
}: SaverOptions<E, T>): Saver<E> {
  let version = base;
  let pending: { readonly value: E } | null = null;
  let isBusy = false;
  let isStopped = false;
  let timer: ReturnType<typeof setTimeout> | undefined;

  // What came while a write was under way.
  const hasPending = (): boolean => pending !== null;

  const say = sayNews(onState, { kind: 'saved', version });

  const later = (ms: number): void => {
    clearTimeout(timer);
    if (!isStopped) timer = setTimeout(() => void send(), ms);
  };

  const failed = (error: unknown, unsent: { readonly value: E }): void => {
    pending ??= unsent;
    if (mayPass(error) || isSignedOut(error)) {
      if (isSignedOut(error)) markSignedOut();
      say({ kind: 'away', version });
      later(TRY_AGAIN_MS);
    } else if (error instanceof ApiProblem && error.code === 'STALE_WRITE') {
      say({ kind: 'stale', version, current: error.current as T });
    } else {
      say({ kind: 'refused', version, reason: errorText(refusalOf(error)) });
    }
  };

  const send = async (): Promise<void> => {
    if (isBusy || !pending) return;
    const sent = pending;
    pending = null;
    isBusy = true;
    say({ kind: 'saving', version });
    try {
      const saved = await save(sent.value, version);
      version = saved.version;
      isBusy = false;
      onSaved(saved);
      if (hasPending()) later(QUIET_MS);
      say({ kind: hasPending() ? 'waiting' : 'saved', version });
    } catch (error) {
      isBusy = false;
      failed(error, sent);
    }
  };

  return {
    edited: (value) => {
      pending = { value };
      say({ kind: 'waiting', version });
      later(QUIET_MS);
    },
    over: (current) => {
      version = current;
      void send();
    },
    rebase: (current) => {
      version = current;
      pending = null;
      clearTimeout(timer);
      say({ kind: 'saved', version });
    },
    flush: () => void send(),
    stop: () => {
      isStopped = true;
      clearTimeout(timer);
    },
  };
}
