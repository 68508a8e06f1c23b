import { answerChanges, type Answers, type AnswerChange, type RoutineContext, type RoutineStep } from '@soft-lark/core';
import { expose } from 'comlink';

/** A routine with the day it is looked at on. */
export interface AnswerCase {
  readonly routine: { readonly steps: readonly RoutineStep[]; readonly minutes: number };
  readonly context: RoutineContext;
  readonly to: Answers;
}

const worker = {
  changes: (cases: readonly AnswerCase[], exercises: RoutineContext['exercises']): readonly AnswerChange[] =>
    cases.map(({ routine, context, to }) => answerChanges(routine, { ...context, exercises }, to)),
};

export type AnswersWorker = typeof worker;
expose(worker);
