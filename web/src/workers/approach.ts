import type { ApproachChange, RoutineContext } from '@soft-lark/core';
import { wrap, type Remote } from 'comlink';
import type { ApproachCase, ApproachWorker } from './approach.worker.ts';

let worker: Remote<ApproachWorker> | undefined;

/** What another approach would alter in routines, worked out beside the page. */
export async function approachChangesBeside(
  cases: readonly ApproachCase[],
  exercises: RoutineContext['exercises'],
): Promise<readonly ApproachChange[]> {
  worker ??= wrap<ApproachWorker>(new Worker(new URL('./approach.worker.ts', import.meta.url), { type: 'module' }));
  return worker.changes(cases, exercises);
}
