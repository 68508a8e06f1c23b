export {
  LadderError,
  PatternError,
  PitchError,
  RuleError,
  SoftLarkError,
  VoiceError,
  type ErrorCode,
  type FitErrorCode,
  type LadderErrorCode,
  type NearestSetting,
  type PatternErrorCode,
  type PitchErrorCode,
  type RuleErrorCode,
  type VoiceErrorCode,
} from './errors.ts';
export { REFUSALS, type Refusal } from './refusals.ts';
export type { Statement, StatementValue, Vocabulary, Word } from './statement.ts';
export { CLOCK_HOURS, minutesOfDay, type ClockHours } from './clock-time.ts';
export {
  faultLine,
  faultMessage,
  faultOf,
  faultsOf,
  firstFault,
  type Fault,
  type FaultCode,
  type FaultSentence,
} from './faults.ts';
export * from './pitch/index.ts';
export * from './pattern/index.ts';
export * from './voice/index.ts';
export * from './limits/index.ts';
export * from './ladder/index.ts';
export * from './shelf/index.ts';
export * from './still/index.ts';
export * from './day/index.ts';
export * from './routine/index.ts';
export * from './fit/index.ts';
export * from './edit/index.ts';
export * from './review/index.ts';
export * from './run/index.ts';
export * from './past/index.ts';
export * from './advice/index.ts';
export * from './draft/index.ts';
export * from './listening/index.ts';
export * from './sound/index.ts';
export * from './formats/index.ts';
export * from './track/index.ts';
export * from './days/index.ts';
export * from './song/index.ts';
export * from './home/index.ts';
