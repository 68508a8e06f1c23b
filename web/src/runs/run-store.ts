import { conduct, partOfRun, runOf, type Condition, type RunAction, type RunState } from '@soft-lark/core';
import { useMemo, useSyncExternalStore } from 'react';
import { v7 } from 'uuid';
import type { SentHomeRun } from '../api/home.queries.ts';
import type { SentRun } from '../api/runs.queries.ts';
import { isRecord, keepOnDevice, readDevice, readParsed } from '../device/device-store.ts';

/** Another singer of a run: the run becomes one of theirs too, when it is closed. */
export interface KeptFellow {
  readonly studentId: string;
  readonly name: string;
  readonly conditions: readonly Condition[];
  readonly plan: SentRun['plan'];
  /** The id of their own run. */
  readonly runId: string;
}

/** A run as this device has it. It stays here until the server has all of it. */
export interface KeptRun {
  readonly id: string;
  /** Empty on a link: whose run it is the link says. */
  readonly studentId: string;
  /** The token of the link it is practised by; left out in a lesson. */
  readonly homeToken?: string;
  readonly routineId: string;
  readonly routineName: string;
  /** The version it was begun with; later ones change nothing of the run. */
  readonly routineVersion?: number;
  readonly startedAt: string;
  readonly endedAt?: string;
  readonly conditions: readonly Condition[];
  readonly plan: SentRun['plan'];
  readonly state: RunState;
  readonly ease?: number;
  readonly note: string;
  /** Who sang along; left out in a run of one. */
  readonly fellows?: readonly KeptFellow[];
  /** The closing card is done with. */
  readonly isClosed: boolean;
  readonly revision: number;
  readonly sentRevision: number;
  /** How many of the keys sung the server has. */
  readonly sentKeys?: number;
  /** The revision in which something that was sent before was changed: older sendings do not count as having it. */
  readonly changedAt?: number;
}

const KEY = 'soft-lark.runs';
/** Schema 0 was the bare list of runs. */
const SCHEMA = 1;
const NONE: readonly KeptRun[] = [];
const listeners = new Set<() => void>();
let cache: { readonly text: string | null; readonly runs: readonly KeptRun[] } = { text: null, runs: NONE };

const TEXTS = ['id', 'studentId', 'routineId', 'routineName', 'startedAt', 'note'] as const;

/** Whether this is a run as this page writes it; what another program left there is not. */
function isRun(value: unknown): value is KeptRun {
  if (!isRecord(value) || !isRecord(value['state'])) return false;
  const { steps, sung, stops, stepIndex } = value['state'];
  return (
    TEXTS.every((name) => typeof value[name] === 'string') &&
    [steps, sung, stops, value['plan'], value['conditions']].every(Array.isArray) &&
    [stepIndex, value['revision'], value['sentRevision']].every(Number.isInteger)
  );
}

function readRuns(value: unknown): readonly KeptRun[] | null {
  const runs: unknown = isRecord(value) && value['schema'] === SCHEMA ? value['runs'] : value;
  return Array.isArray(runs) && runs.every(isRun) ? runs : null;
}

function read(): readonly KeptRun[] {
  const text = readDevice(KEY);
  if (text !== cache.text) {
    const runs = readParsed(KEY, readRuns) ?? NONE;
    cache = { text: readDevice(KEY), runs };
  }
  return cache.runs;
}

function write(runs: readonly KeptRun[]): void {
  keepOnDevice(KEY, JSON.stringify({ schema: SCHEMA, runs }));
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}

/**
 * Runs this device still keeps, in the order they began.
 *
 * @param homeToken those that were practised by this link; left out those of lessons
 */
export function useKeptRuns(homeToken?: string): readonly KeptRun[] {
  const runs = useSyncExternalStore(subscribe, read);
  return useMemo(() => runs.filter((run) => run.homeToken === homeToken), [runs, homeToken]);
}

export function keepRun(run: KeptRun): void {
  write([...read().filter(({ id }) => id !== run.id), run]);
}

function change(id: string, next: (run: KeptRun) => KeptRun): void {
  write(read().map((run) => (run.id === id ? next(run) : run)));
}

/** One act of the teacher on a run, kept before anything else happens. */
export function actOnRun(id: string, action: RunAction, now: Date): void {
  change(id, (run) => {
    const state = conduct(run.state, action);
    if (state === run.state) return run;
    const hasEnded = state.phase === 'finished' && run.endedAt === undefined;
    const revision = run.revision + 1;
    return {
      ...run,
      state,
      revision,
      ...changedKeys(state.sung, run, revision),
      ...(hasEnded && { endedAt: now.toISOString() }),
    };
  });
}

/** What each who sang along did, as a run of their own. */
function runsOfFellows(run: KeptRun): readonly KeptRun[] {
  return (run.fellows ?? []).flatMap(({ studentId, conditions, plan, runId }): readonly KeptRun[] => {
    const { sung, stops, results } = partOfRun(run.state, studentId);
    const hasDone = sung.length + stops.length > 0 || results.some(({ outcome }) => outcome !== 'passed-over');
    if (!hasDone) return [];
    // What was sung together has one id in the run that was led; on the server each key has its own.
    const own = sung.map((key) => ({ ...key, id: v7() }));
    const { routineId, routineName, routineVersion, startedAt, endedAt } = run;
    return [
      {
        id: runId,
        studentId,
        routineId,
        routineName,
        ...(routineVersion !== undefined && { routineVersion }),
        startedAt,
        ...(endedAt !== undefined && { endedAt }),
        conditions,
        plan,
        state: { ...runOf([]), phase: 'finished', sung: own, stops, results },
        note: '',
        isClosed: true,
        revision: 1,
        sentRevision: 0,
      },
    ];
  });
}

/** Closes a run, and hands those who sang along what is theirs. */
function close(id: string, next: (run: KeptRun) => KeptRun): void {
  write(
    read().flatMap((run) => {
      if (run.id !== id) return [run];
      const closed = { ...next(run), isClosed: true, revision: run.revision + 1 };
      return run.isClosed ? [closed] : [closed, ...runsOfFellows(closed)];
    }),
  );
}

/** Ends a run where it stands, without a closing card. */
export function endRun(id: string, now: Date): void {
  close(id, (run) => ({
    ...run,
    state: { ...run.state, phase: 'finished' },
    endedAt: run.endedAt ?? now.toISOString(),
  }));
}

/** A run that was thrown away is kept here no longer. */
export function forgetRun(id: string): void {
  write(read().filter((run) => run.id !== id));
}

/** A key that was changed after it was left, such as a mark taken back, is sent again with all after it. */
function changedKeys(
  sung: KeptRun['state']['sung'],
  before: KeptRun,
  revision: number,
): Pick<KeptRun, 'sentKeys' | 'changedAt'> {
  const changed = before.state.sung.findIndex((key, index) => sung[index] !== key);
  return changed === -1 ? {} : { sentKeys: Math.min(before.sentKeys ?? 0, changed), changedAt: revision };
}

/** What the closing card asked for. */
export function closeRun(id: string, { ease, note }: { readonly ease?: number; readonly note: string }): void {
  close(id, (run) => ({ ...run, ...(ease !== undefined && { ease }), note }));
}

/** Keys of one sending; a run that was sung without a connection goes in several. */
const KEYS_AT_ONCE = 75;

function isWholeWith(run: KeptRun, keys: number): boolean {
  return keys >= run.state.sung.length;
}

/** The server has so many keys, and the rest of a revision; a run that is closed and wholly sent is kept here no longer. */
export function sentRun(id: string, revision: number, keys: number): void {
  const runs = read().map((run) => {
    if (run.id !== id) return run;
    const isOld = revision < (run.changedAt ?? 0);
    const sentKeys = isOld ? (run.sentKeys ?? 0) : Math.max(run.sentKeys ?? 0, keys);
    // What is left of the keys is as much as another change: it is sent next.
    const isSent = run.revision > revision || isWholeWith(run, sentKeys);
    return { ...run, sentKeys, sentRevision: isSent ? Math.max(run.sentRevision, revision) : run.sentRevision };
  });
  write(
    runs.filter((run) => !(run.isClosed && run.sentRevision >= run.revision && isWholeWith(run, run.sentKeys ?? 0))),
  );
}

/** A run as the server takes it from a link: with the keys it does not have yet, or the first of them. */
export function sendableFromHome(run: KeptRun): SentHomeRun {
  const { routineId, routineName, startedAt, endedAt, conditions, plan, state, ease, note, revision } = run;
  const { sentKeys = 0 } = run;
  const { sung, stops, results } = partOfRun(state);
  return {
    routineId,
    routineName,
    startedAt,
    ...(endedAt !== undefined && { endedAt }),
    conditions: [...conditions],
    plan,
    sung: sung.slice(sentKeys, sentKeys + KEYS_AT_ONCE).map((key) => ({ ...key, marks: [...key.marks] })),
    sungBefore: sentKeys,
    stops: [...stops],
    results: [...results],
    ...(ease !== undefined && { ease }),
    note,
    revision,
  };
}

/** A run of a lesson as the server takes it. */
export function sendable(run: KeptRun): SentRun {
  return { studentId: run.studentId, ...sendableFromHome(run) };
}
