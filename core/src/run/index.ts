export { canGoHome, canTurnBack, conduct, currentKey, currentStep, fewMore } from './conduct.ts';
export { mannerThatWorked } from './help-after.ts';
export { MOST_READY_QUESTIONS, READY_GLIDE, USUAL_READY_QUESTIONS, type ReadyQuestion } from './ready.data.ts';
export { isReadyDue, repairsFor, type Repair } from './ready.ts';
export { refitRun, type Cut, type Refitted } from './refit-run.ts';
export { remedyFor, type Offered } from './remedy-for.ts';
export { isSungByStudent, runDigest, type DigestedStep, type RunDigest } from './run-digest.ts';
export { countdownOf, nextKey, secondsForStep, secondsLeft, type Countdown } from './run-outlook.ts';
export { runStepOf, startRun } from './run-plan.ts';
export {
  STOP_CAUSES,
  type RunAction,
  type RunKey,
  type RunState,
  type RunStep,
  type StopCause,
  type SungKey,
} from './run.types.ts';
