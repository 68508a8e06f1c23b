import { dayIs, type Condition, type Style } from '../voice/index.ts';
import { lineOf, TEACHER, type Rule } from './case.ts';
import { cap, shift } from './ledger.ts';

/** 1. What was measured, or the usual range of the voice. */
export const base: Rule = (ledger, { context, given, rules }) => {
  const { measured, type } = context.voice;
  const line = measured
    ? { ...lineOf('base', 'measured', rules), source: 'range check', date: measured.date }
    : lineOf('base', `usual for a ${type}, not measured yet`, rules);
  return cap(cap(ledger, 'floor', given.low, line), 'ceiling', given.high, line);
};

/** 1. An end of the range that is a gap, or never sounded, is not the end: what lies before it is. */
export const closedEnds: Rule = (ledger, { comfortable, rules }) => {
  const line = { ...lineOf('closed-end', 'what lies beyond is never sung', rules), source: TEACHER };
  return cap(cap(ledger, 'floor', comfortable.low, line), 'ceiling', comfortable.high, line);
};

/** 2. Ordinary pitched work stays inside both ends. */
export const margin: Rule = (ledger, facts) => {
  const usual = lineOf('margin', 'kept inside the edge', facts.rules, 'margin.usual');
  const line = facts.context.voice.margin === undefined ? usual : { ...usual, source: TEACHER };
  return shift(shift(ledger, 'floor', facts.margin, line), 'ceiling', -facts.margin, line);
};

/** Styles whose name says something else beside a voice. */
const STYLE_WORDS: Partial<Record<Style, string>> = { heavy: 'metal', rnb: 'R&B' };

/** 3. Style. */
export const style: Rule = (ledger, { context, rules }) =>
  shift(
    ledger,
    'ceiling',
    rules.style[context.style],
    lineOf('style', `${STYLE_WORDS[context.style] ?? context.style} style`, rules, `style.${context.style}`),
  );

/** 4. What the last runs taught, passed in as deltas. */
export const advice: Rule = (ledger, { context, rules }) => {
  const line = { ...lineOf('advice', 'from the last runs', rules), source: 'runs of this exercise' };
  const lowered = shift(ledger, 'floor', floorCredit(context.conditions, context.advice?.floor ?? 0), line);
  return shift(lowered, 'ceiling', context.advice?.ceiling ?? 0, line);
};

/** A heavy morning voice sings lower than it will at noon: notes below the floor are no credit then. */
export function floorCredit(conditions: readonly Condition[], delta: number): number {
  return delta < 0 && dayIs(conditions, 'low') ? 0 : delta;
}
