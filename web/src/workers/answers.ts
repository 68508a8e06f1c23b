import type { AnswerChange, RoutineContext } from '@soft-lark/core';
import { wrap, type Remote } from 'comlink';
import type { AnswerCase, AnswersWorker } from './answers.worker.ts';

let worker: Remote<AnswersWorker> | undefined;

/** What other answers would alter in routines, worked out beside the page. */
export async function answerChangesBeside(
  cases: readonly AnswerCase[],
  exercises: RoutineContext['exercises'],
): Promise<readonly AnswerChange[]> {
  worker ??= wrap<AnswersWorker>(new Worker(new URL('./answers.worker.ts', import.meta.url), { type: 'module' }));
  return worker.changes(cases, exercises);
}
