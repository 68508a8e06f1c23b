export { canGoHome, canTurnBack, conduct, currentKey, currentStep, fewMore } from './conduct.ts';
export { fitToBudget, type Fit, type FitStep } from './fit-to-budget.ts';
export { historyOf, type PastExercise, type PastRun, type StudentHistory } from './history.ts';
export { weightedMinutes } from './load.ts';
export { groupSettings, layGroup, type GroupMember, type GroupStep } from './lay-group.ts';
export { isReadyDue, repairsFor, type Repair } from './ready.ts';
export { MOST_READY_QUESTIONS, READY_GLIDE, USUAL_READY_QUESTIONS, type ReadyQuestion } from './ready.data.ts';
export { keysOf, type KeyWay } from './key-ways.ts';
export { mannerThatWorked } from './help-after.ts';
export { layRoutine } from './lay-routine.ts';
export { isSingable, isSung, layStep, USUAL_SET_UP } from './lay-step.ts';
export { remedyFor, type Offered } from './remedy-for.ts';
export { countdownOf, nextKey, secondsForStep, secondsLeft, type Countdown } from './run-outlook.ts';
export { isSungByStudent, runDigest, type DigestedStep, type RunDigest } from './run-digest.ts';
export { runStepOf, startRun } from './run-plan.ts';
export { MARKS, STOP_MARKS, type Mark } from './marks.ts';
export { type RunAction, type RunKey, type RunState, type RunStep, type StopCause, type SungKey } from './run.types.ts';
export {
  type LaidLadder,
  type LaidRoutine,
  type LaidSiren,
  type LaidStep,
  type RoutineContext,
  type RoutineStep,
  type SetUpTimes,
  type StepSettings,
} from './routine.types.ts';
export { coolDownSeconds, shapeFor, type RoutineShape } from './shape.ts';
export { leastKeys } from './least-keys.data.ts';
export {
  lengthRange,
  optionsOf,
  outwardKeys,
  type LengthRange,
  type StepOption,
  type StepShape,
} from './step-options.ts';
export { fitRoutine, shortenedForToday, type FittedRoutine } from './fit-routine.ts';
export { applyPatch, type Patched, type RoutinePatch } from './routine-patch.ts';
export { MUTABLE_RULES, reviewRoutine } from './review/review-routine.ts';
export type { Finding, Fix, ReviewContext, Severity } from './review/finding.types.ts';
export { REVIEW_FIGURES, REVIEW_SOURCES } from './review/review.data.ts';
export {
  isAlike,
  mergeRoutines,
  takeTheirs,
  type Merged,
  type MergeConflict,
  type MergedFields,
} from './merge-routines.ts';
export { refitRun, type Cut, type Refitted } from './refit-run.ts';
