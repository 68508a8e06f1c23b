import { answerChanges, type AnswerChange, type RoutineContext } from '@soft-lark/core';
import type { AnswerCase } from '../workers/answers.worker.ts';

/** The worker of other answers, in the page. */
export function answerChangesBeside(
  cases: readonly AnswerCase[],
  exercises: RoutineContext['exercises'],
): Promise<readonly AnswerChange[]> {
  return Promise.resolve(
    cases.map(({ routine, context, to }) => answerChanges(routine, { ...context, exercises }, to)),
  );
}
