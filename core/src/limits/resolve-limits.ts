import { beltCeilingOf, referenceOf, type Condition, type PitchRange } from '../voice/index.ts';
import { cap, EMPTY_LEDGER, shift, type Ledger, type LineWords, type Side } from './ledger.ts';
import type { LedgerEntry, LimitContext, Limits, RuleName, RuleTable } from './limits.types.ts';
import { USUAL_RULES } from './rules.data.ts';

/** The facts of one resolution, looked up once. */
interface Case {
  readonly context: LimitContext;
  readonly rules: RuleTable;
  readonly comfortable: PitchRange;
  readonly reach: PitchRange;
  readonly isSiren: boolean;
  readonly isOccluded: boolean;
  readonly isQuiet: boolean;
  readonly margin: number;
}

type Rule = (ledger: Ledger, facts: Case) => Ledger;

const TEACHER = 'the teacher';

function words(rule: RuleName, label: string, source: string): LineWords {
  return { rule, label, source };
}

const base: Rule = (ledger, { context, comfortable, rules }) => {
  const { measured } = context.voice;
  const line: LineWords = measured
    ? { ...words('base', 'measured', 'range check'), date: measured.date }
    : words('base', `usual for a ${context.voice.type}, not measured yet`, rules.source);
  return cap(cap(ledger, 'floor', comfortable.low, line), 'ceiling', comfortable.high, line);
};

const margin: Rule = (ledger, facts) => {
  const line = words(
    'margin',
    'kept inside the edge',
    facts.context.voice.margin === undefined ? facts.rules.source : TEACHER,
  );
  return shift(shift(ledger, 'floor', facts.margin, line), 'ceiling', -facts.margin, line);
};

const style: Rule = (ledger, { context, rules }) =>
  shift(ledger, 'ceiling', rules.style[context.style] ?? 0, words('style', `${context.style} style`, rules.source));

const advice: Rule = (ledger, { context }) => {
  const line = words('advice', 'from the last runs', 'runs of this exercise');
  const lowered = shift(ledger, 'floor', floorCredit(context.conditions, context.advice?.floor ?? 0), line);
  return shift(lowered, 'ceiling', context.advice?.ceiling ?? 0, line);
};

/** A heavy morning voice sings lower than it will at noon: notes below the floor are no credit then. */
function floorCredit(conditions: readonly Condition[], delta: number): number {
  return delta < 0 && conditions.includes('heavy') ? 0 : delta;
}

const condition: Rule = (ledger, { context, rules, comfortable }) => {
  const present = (['recovering', 'tired', 'heavy'] as const).filter((name) => context.conditions.includes(name));
  const drops = present.map((name) => rules.condition[name]).sort((a, b) => b - a);
  const [largest = 0, ...others] = drops;
  const combined = Math.ceil(largest + others.reduce((sum, drop) => sum + drop, 0) / 2);
  const most = Math.floor((comfortable.high - comfortable.low) * rules.condition.mostShare);
  const drop = Math.min(combined, rules.condition.mostDrop, most);
  return shift(ledger, 'ceiling', -drop, words('condition', `${present.join(', ')} today`, rules.source));
};

const occasion: Rule = (ledger, { context, rules }) => {
  if (context.occasion === 'home') {
    const narrower = context.exercise.isNew ? rules.home.narrowerWhenNew : rules.home.narrower;
    const line = words('home', context.exercise.isNew ? 'at home, and new' : 'at home', rules.source);
    return shift(shift(ledger, 'floor', narrower, line), 'ceiling', -narrower, line);
  }
  if (!isWithin(context, rules.performance.closeHours)) return ledger;
  return shift(
    ledger,
    'ceiling',
    rules.performance.closeDelta,
    words('performance', 'performance within a day', rules.source),
  );
};

function isWithin(context: LimitContext, hours: number): boolean {
  return context.occasion === 'performance' || (context.hoursToPerformance ?? Infinity) <= hours;
}

function mayExtend({ context, rules }: Case): boolean {
  const rested = context.conditions.every((name) => name === 'fresh');
  const warm = context.sungSteps >= rules.extension.afterSungSteps;
  return (
    Boolean(context.exercise.extendsRange) && rested && warm && !isWithin(context, rules.performance.nothingNewHours)
  );
}

const purpose: Rule = (ledger, facts) => {
  const { context, rules, isOccluded, isSiren } = facts;
  const isGentle = isOccluded || isSiren || context.exercise.register === 'light';
  const gentleLine = words('gentle', 'gentle work goes a little further', rules.source);
  const lowered = isGentle
    ? shift(ledger, 'floor', floorCredit(context.conditions, rules.gentle.floor), gentleLine)
    : ledger;
  if (mayExtend(facts)) {
    return shift(
      lowered,
      'ceiling',
      rules.extension.overTop + facts.margin,
      words('extension', 'meant to extend the range', rules.source),
    );
  }
  return isGentle ? shift(lowered, 'ceiling', rules.gentle.ceiling, gentleLine) : lowered;
};

/** A cap below the comfortable top that still leaves a usable width. */
function modestTop({ rules, comfortable }: Case, floor: number): number {
  const leastTop = Math.min(floor + rules.modest.leastWidth, comfortable.high);
  return Math.max(comfortable.high - rules.modest.belowTop, leastTop);
}

const modest: Rule = (ledger, facts) => {
  const { stage } = facts.context.exercise;
  if (facts.isSiren || facts.isQuiet || !(stage === 'release' || stage === 'onset' || stage === 'resonance'))
    return ledger;
  return cap(
    ledger,
    'ceiling',
    modestTop(facts, ledger.floor),
    words('modest', `${stage} work stays modest`, facts.rules.source),
  );
};

const belt: Rule = (ledger, { context, rules }) => {
  if (context.exercise.register !== 'heavy') return ledger;
  const ceiling = beltCeilingOf(context.voice);
  const source = context.voice.beltCeiling === undefined ? rules.source : TEACHER;
  return ceiling === null ? ledger : cap(ledger, 'ceiling', ceiling, words('belt', 'belt ceiling', source));
};

const grit: Rule = (ledger, { context, rules, comfortable }) => {
  if (!context.exercise.grit) return ledger;
  const line = words('grit', 'grit stays in the middle', rules.source);
  const raised = cap(ledger, 'floor', comfortable.low + rules.grit.keepsOff, line);
  return cap(raised, 'ceiling', comfortable.high - rules.grit.keepsOff, line);
};

const opening: Rule = (ledger, facts) => {
  const { context, rules, isSiren, isQuiet } = facts;
  if (context.sungSteps >= rules.opening.sungSteps || isSiren || isQuiet) return ledger;
  return cap(
    ledger,
    'ceiling',
    modestTop(facts, ledger.floor),
    words('opening', 'the first sung steps stay modest', rules.source),
  );
};

const override: Rule = (ledger, { context }) => {
  const line = words('override', 'set by the teacher', TEACHER);
  const move = (at: Ledger, side: Side): Ledger =>
    shift(at, side, (context.override?.[side] ?? at[side]) - at[side], line);
  return move(move(ledger, 'floor'), 'ceiling');
};

const clamps: Rule = (ledger, { context, reach, rules }) => {
  const { hardFloor = -Infinity, hardCeiling = Infinity, measured } = context.voice;
  const far = words('reach', 'never past the reach', measured ? 'range check' : rules.source);
  const hard = words('hard-limit', 'hard limit', TEACHER);
  const reached = cap(cap(ledger, 'floor', reach.low, far), 'ceiling', reach.high, far);
  return cap(cap(reached, 'floor', hardFloor, hard), 'ceiling', hardCeiling, hard);
};

/** The order is part of the contract: caps come after conditions, so that modest work is not made smaller twice. */
const RULES: readonly Rule[] = [
  base,
  margin,
  style,
  advice,
  condition,
  occasion,
  purpose,
  modest,
  belt,
  grit,
  opening,
  override,
  clamps,
];

function factsOf(context: LimitContext): Case {
  const rules = context.rules ?? USUAL_RULES;
  const { measured } = context.voice;
  const reference = referenceOf(context.voice);
  const comfortable = measured ?? reference.comfortable;
  const { stage, kind = 'pattern', quiet = false } = context.exercise;
  const isSiren = kind === 'siren';
  const hasMargin =
    stage !== 'occluded' && !isSiren && !quiet && comfortable.high - comfortable.low >= rules.margin.leastRange;
  return {
    context,
    rules,
    comfortable,
    reach: measured
      ? { low: measured.reachLow ?? measured.low, high: measured.reachHigh ?? measured.high }
      : reference.usual,
    isSiren,
    isOccluded: stage === 'occluded',
    isQuiet: quiet,
    margin: hasMargin ? Math.min(context.voice.margin ?? rules.margin.usual, rules.margin.most) : 0,
  };
}

function lastInward(entries: readonly LedgerEntry[], side: Side): LedgerEntry | undefined {
  const inward = entries.filter((entry, index) => {
    if (entry.side !== side) return false;
    const before = entries
      .slice(0, index)
      .filter((other) => other.side === side)
      .at(-1);
    if (!before) return true;
    return side === 'ceiling' ? entry.result < before.result : entry.result > before.result;
  });
  return inward.at(-1);
}

/**
 * Lowest and highest note of a step for one voice today, with the line of every rule that had a say.
 * Entries stand in the order the rules were applied; the last of each side has the returned note.
 *
 * @returns MIDI notes; `conflict` names the two lines where floor and ceiling cross
 * @example for a mezzo measured A3–E5 (57–76), middle work as third sung step: floor 58, ceiling 75
 * Source: the rule table, see `USUAL_RULES`.
 */
export function resolveLimits(context: LimitContext): Limits {
  const facts = factsOf(context);
  const { floor, ceiling, entries } = RULES.reduce((ledger, rule) => rule(ledger, facts), EMPTY_LEDGER);
  const limits = { floor, ceiling, estimated: context.voice.measured === undefined, entries };
  if (floor <= ceiling) return limits;
  const low = lastInward(entries, 'floor');
  const high = lastInward(entries, 'ceiling');
  return low && high ? { ...limits, conflict: [low, high] } : limits;
}
