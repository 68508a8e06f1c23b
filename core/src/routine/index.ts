export { canGoHome, canTurnBack, conduct, currentKey, currentStep } from './conduct.ts';
export { gateOutcome, type GateAnswers, type GateOutcome } from './gate.ts';
export { layRoutine } from './lay-routine.ts';
export { layStep, USUAL_SET_UP } from './lay-step.ts';
export { countdownOf, nextKey, secondsLeft, type Countdown } from './run-outlook.ts';
export { startRun } from './run-plan.ts';
export {
  MARKS,
  STOP_MARKS,
  type Mark,
  type RunAction,
  type RunKey,
  type RunState,
  type RunStep,
  type SungKey,
} from './run.types.ts';
export { missingBeforeRun } from './young-voices.ts';
export {
  type LaidLadder,
  type LaidRoutine,
  type LaidSiren,
  type LaidStep,
  type RoutineContext,
  type RoutineStep,
  type SetUpTimes,
  type StepProblem,
  type StepSettings,
} from './routine.types.ts';
