import { openRanges, referenceOf, type PitchRange } from '../voice/index.ts';
import type { Statement } from '../statement.ts';
import type { Ledger, LineWords } from './ledger.ts';
import type { LimitCode, LimitContext, RuleName, RulePath, RuleTable } from './limits.types.ts';
import { USUAL_RULES } from './rules.data.ts';

/** The facts of one resolution, looked up once. */
export interface Case {
  readonly context: LimitContext;
  readonly rules: RuleTable;
  /** As measured, or as usual for the voice. */
  readonly given: PitchRange;
  /** The same without ends that are never sung. */
  readonly comfortable: PitchRange;
  readonly reach: PitchRange;
  readonly isSiren: boolean;
  readonly isOccluded: boolean;
  readonly isQuiet: boolean;
  readonly margin: number;
}

/** One rule of the table: the ledger with its lines added, or as it was where the rule does not apply. */
export type Rule = (ledger: Ledger, facts: Case) => Ledger;

/** What a line says; `figure` names the row of the rule table it rests on, which a teacher may have changed. */
export function lineOf(
  rule: RuleName,
  said: LimitCode | Statement<LimitCode>,
  rules: RuleTable,
  figure?: RulePath,
): LineWords {
  const source = (figure && rules.changed?.[figure]) ?? 'reference';
  return { rule, said: typeof said === 'string' ? { code: said } : said, source };
}

export function factsOf(context: LimitContext): Case {
  const rules = context.rules ?? USUAL_RULES;
  const { measured } = context.voice;
  const reference = referenceOf(context.voice, rules.ranges);
  const given = measured ?? reference.comfortable;
  const furthest = measured
    ? { low: measured.reachLow ?? measured.low, high: measured.reachHigh ?? measured.high }
    : reference.usual;
  const { comfortable, reach } = openRanges(given, furthest, context.voice.closed);
  const { stage, kind = 'pattern', quiet = false } = context.exercise;
  const isSiren = kind === 'siren';
  const hasMargin =
    stage !== 'occluded' && !isSiren && !quiet && comfortable.high - comfortable.low >= rules.margin.leastRange;
  return {
    context,
    rules,
    given,
    comfortable,
    reach,
    isSiren,
    isOccluded: stage === 'occluded',
    isQuiet: quiet,
    margin: hasMargin ? Math.min(context.voice.margin ?? rules.margin.usual, rules.margin.most) : 0,
  };
}
