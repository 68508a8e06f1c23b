export { asTaught, inOneBreath, isOlderVoice, openingPattern } from './as-taught.ts';
export { hasWhatItNeeds, isCloseToPerformance, isGentle, leftOutToday, type DayAllowance } from './allowed-today.ts';
export {
  ALLOWANCES,
  NOT_TODAY_SIGNS,
  RECOVERY_DAYS,
  SEE_SOMEONE_SIGNS,
  URGENT_SIGNS,
  type Allowance,
  type GateSign,
  type RecoveryDays,
} from './gate.data.ts';
export {
  gateOutcome,
  isCleared,
  lockHolds,
  LOCK_LEVELS,
  minutesToday,
  openQuestions,
  type GateAnswers,
  type GateLevel,
  type GateOutcome,
  type GateQuestion,
  type LockLevel,
} from './gate.ts';
export { occasionOf, ROUTINE_KINDS, servesGoals, type RoutineKind } from './kinds.ts';
export {
  answersCracks,
  BREATH_SHARES,
  goesToTheEnd,
  judgesSound,
  mayExtend,
  playsOn,
  turnsAtEffort,
} from './by-approach.ts';
export { problemStatement, type DayContext, type ProblemCode, type StepProblem } from './day.types.ts';
export { middleStart, turnedSiren, turnedWork } from './turn-by-condition.ts';
