export { limitByRule } from './anchors.ts';
export { LIMIT_ANCHORS, limitRuleSchema, type LimitRule } from './limit-rule.schema.ts';
export { changeRules, isRulePath, ruleFigure, type RuleChanges } from './change-rules.ts';
export { ruleChangesSchema } from './rule-changes.schema.ts';
export { RANGE_NAMES, RANGE_ROWS } from './range-rows.ts';
export { replayLedger } from './ledger.ts';
export { resolveLimits } from './resolve-limits.ts';
export { RULE_ROWS, type RuleRow, type RuleUnit } from './rule-rows.data.ts';
export { USUAL_RULES } from './rules.data.ts';
export { whatWouldChange } from './what-would-change.ts';
export { ageFor, beltTopOf, easyBeltTopOf, isChild, isTooYoungForBelt, mayHaveGrit } from './young.ts';
export {
  DRAFT_LENGTHS,
  EXERCISE_KINDS,
  STAGES,
  type DraftLength,
  type ExerciseKind,
  type FigureSource,
  type LimitCode,
  type LineSource,
  type LedgerEntry,
  type LimitContext,
  type Limits,
  type RuleGroup,
  type RuleName,
  type RulePath,
  type RuleTable,
  type Stage,
} from './limits.types.ts';
