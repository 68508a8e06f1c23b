import {
  approachChanges,
  type Approach,
  type ApproachChange,
  type RoutineContext,
  type RoutineStep,
} from '@soft-lark/core';
import { expose } from 'comlink';

/** A routine with the day it is looked at on. */
export interface ApproachCase {
  readonly routine: { readonly steps: readonly RoutineStep[]; readonly minutes: number };
  readonly context: RoutineContext;
  readonly to: Approach;
}

const worker = {
  changes: (cases: readonly ApproachCase[], exercises: RoutineContext['exercises']): readonly ApproachChange[] =>
    cases.map(({ routine, context, to }) => approachChanges(routine, { ...context, exercises }, to)),
};

export type ApproachWorker = typeof worker;
expose(worker);
