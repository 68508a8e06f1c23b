export { BY_EYE, byEyeAt, type SeenByEye } from './by-eye.data.ts';
export { LIVE_TEMPO } from './live-changes.ts';
export { correctedKey, isSameKey } from './correct-run.ts';
export { conduct } from './conduct.ts';
export {
  fellowKey,
  fellowNow,
  fellowsIn,
  keySungNow,
  LEADER,
  singersMeant,
  withFellows,
  type Joining,
} from './fellows.ts';
export { partOfRun, type PartOfRun } from './part-of-run.ts';
export { canGoHome, canTurnBack, currentKey, currentStep, fewMore, keyPlayed, otherWay } from './run-queries.ts';
export { mannerThatWorked } from './help-after.ts';
export { MOST_READY_QUESTIONS, READY_GLIDE, USUAL_READY_QUESTIONS, type ReadyQuestion } from './ready.data.ts';
export { isReadyDue, repairsFor, type Repair } from './ready.ts';
export { refitRun, type Cut, type Refitted } from './refit-run.ts';
export { ownMarks } from './own-marks.ts';
export { remedyFor, type Offered } from './remedy-for.ts';
export { isSungByStudent, runDigest, type DigestedStep, type RunDigest } from './run-digest.ts';
export { lessonClock, type LessonClock } from './lesson-clock.ts';
export { countdownOf, nextKey, secondsForStep, secondsLeft, type Countdown } from './run-outlook.ts';
export { runOf, runStepOf, startRun } from './run-plan.ts';
export {
  correctedKeySchema,
  plannedStepSchema,
  STOP_CAUSES,
  stepResultSchema,
  stopSchema,
  sungKeySchema,
  type CorrectedKey,
  type PlannedStep,
  type StepResult,
  type Stop,
  type StopCause,
  type SungKey,
} from './run.schema.ts';
export type { Fellow, RunAction, RunKey, RunState, RunStep } from './run.types.ts';
