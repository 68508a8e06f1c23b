import { BURDENS } from '../voice/index.ts';
import { wordsOf } from '../statement.ts';
import { lineOf, type Case, type Rule } from './case.ts';
import { shift } from './ledger.ts';
import type { LimitContext } from './limits.types.ts';

/** 5. Today's conditions: the largest drop and half of the rest, at most so many semitones and a share of the range. */
export const condition: Rule = (ledger, { context, rules, comfortable }) => {
  const present = [...BURDENS].reverse().filter((name) => context.conditions.includes(name));
  const drops = present.map((name) => rules.condition[name]).sort((a, b) => b - a);
  const [largest = 0, ...others] = drops;
  const combined = Math.ceil(largest + others.reduce((sum, drop) => sum + drop, 0) / 2);
  const most = Math.floor((comfortable.high - comfortable.low) * rules.condition.mostShare);
  const drop = Math.min(combined, rules.condition.mostDrop, most);
  const [first] = present;
  if (first === undefined) return ledger;
  const line = lineOf(
    'condition',
    { code: 'limit.conditions', values: { conditions: wordsOf('condition', present) } },
    rules,
    `condition.${first}`,
  );
  return shift(ledger, 'ceiling', -drop, line);
};

/** 6. At home, or a performance within a day. */
export const occasion: Rule = (ledger, { context, rules }) => {
  if (context.occasion === 'home') {
    const { isNew = false } = context.exercise;
    const narrower = isNew ? rules.home.narrowerWhenNew : rules.home.narrower;
    const figure = isNew ? 'home.narrowerWhenNew' : 'home.narrower';
    const line = lineOf('home', isNew ? 'limit.home-new' : 'limit.home', rules, figure);
    return shift(shift(ledger, 'floor', narrower, line), 'ceiling', -narrower, line);
  }
  if (!isWithin(context, rules.performance.closeHours)) return ledger;
  const line = lineOf('performance', 'limit.performance', rules, 'performance.closeDelta');
  return shift(ledger, 'ceiling', rules.performance.closeDelta, line);
};

function isWithin(context: LimitContext, hours: number): boolean {
  return context.occasion === 'performance' || (context.hoursToPerformance ?? Infinity) <= hours;
}

/** Whether nothing new and no stretching is due because a performance is near. */
export function isBeforePerformance({ context, rules }: Case): boolean {
  return isWithin(context, rules.performance.nothingNewHours);
}
