import { dayIs, type Condition } from '../voice/index.ts';
import { lineOf, type Rule } from './case.ts';
import { cap, shift } from './ledger.ts';

/** 1. What was measured, or the usual range of the voice. */
export const base: Rule = (ledger, { context, given, rules }) => {
  const { measured, type } = context.voice;
  const line = measured
    ? { ...lineOf('base', 'limit.measured', rules), source: 'range-check' as const, date: measured.date }
    : lineOf('base', { code: 'limit.usual', values: { voice: { word: type, of: 'voice' } } }, rules);
  return cap(cap(ledger, 'floor', given.low, line), 'ceiling', given.high, line);
};

/** 1. An end of the range that is a gap, or never sounded, is not the end: what lies before it is. */
export const closedEnds: Rule = (ledger, { comfortable, rules }) => {
  const line = { ...lineOf('closed-end', 'limit.closed-end', rules), source: 'teacher' as const };
  return cap(cap(ledger, 'floor', comfortable.low, line), 'ceiling', comfortable.high, line);
};

/** 2. Ordinary pitched work stays inside both ends. */
export const margin: Rule = (ledger, facts) => {
  const usual = lineOf('margin', 'limit.margin', facts.rules, 'margin.usual');
  const line = facts.context.voice.margin === undefined ? usual : { ...usual, source: 'teacher' as const };
  return shift(shift(ledger, 'floor', facts.margin, line), 'ceiling', -facts.margin, line);
};

/** 3. Style. */
export const style: Rule = (ledger, { context, rules }) =>
  shift(
    ledger,
    'ceiling',
    rules.style[context.style],
    lineOf(
      'style',
      { code: 'limit.style', values: { style: { word: context.style, of: 'style' } } },
      rules,
      `style.${context.style}`,
    ),
  );

/** 4. What the last runs taught, passed in as deltas. */
export const advice: Rule = (ledger, { context, rules }) => {
  const line = { ...lineOf('advice', 'limit.advice', rules), source: 'runs' as const };
  const lowered = shift(ledger, 'floor', floorCredit(context.conditions, context.advice?.floor ?? 0), line);
  return shift(lowered, 'ceiling', context.advice?.ceiling ?? 0, line);
};

/** A heavy morning voice sings lower than it will at noon: notes below the floor are no credit then. */
export function floorCredit(conditions: readonly Condition[], delta: number): number {
  return delta < 0 && dayIs(conditions, 'low') ? 0 : delta;
}
