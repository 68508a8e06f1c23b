import { approachChanges, type ApproachChange, type RoutineContext } from '@soft-lark/core';
import type { ApproachCase } from '../workers/approach.worker.ts';

/** The approach worker, in the page. */
export function approachChangesBeside(
  cases: readonly ApproachCase[],
  exercises: RoutineContext['exercises'],
): Promise<readonly ApproachChange[]> {
  return Promise.resolve(
    cases.map(({ routine, context, to }) => approachChanges(routine, { ...context, exercises }, to)),
  );
}
