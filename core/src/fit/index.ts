export {
  canFit,
  fitRoutine,
  fittedSteps,
  secondsToGive,
  shortenedForToday,
  type FittedRoutine,
} from './fit-routine.ts';
export { fitToBudget, type Fit, type FitStep } from './fit-to-budget.ts';
export {
  lengthRange,
  optionsOf,
  outwardKeys,
  type LengthRange,
  type StepOption,
  type StepShape,
} from './step-options.ts';
