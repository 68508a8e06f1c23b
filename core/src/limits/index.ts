export { replayLedger } from './ledger.ts';
export { resolveLimits } from './resolve-limits.ts';
export { USUAL_RULES } from './rules.data.ts';
export {
  STAGES,
  type ExerciseKind,
  type LedgerEntry,
  type LimitContext,
  type Limits,
  type RuleName,
  type RuleTable,
  type Stage,
} from './limits.types.ts';
