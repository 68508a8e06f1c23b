import { referenceOf } from '../voice/index.ts';
import { lineOf, type Rule } from './case.ts';
import { cap, shift, type Ledger, type Side } from './ledger.ts';
import { ageTopOf } from './young.ts';

/** 9. A changing voice works in the middle of its stage. */
export const changing: Rule = (ledger, { context, rules }) => {
  if (context.voice.type !== 'changing') return ledger;
  const { low, high } = referenceOf(context.voice, rules.ranges).comfortable;
  const { pastMiddle } = rules.changing;
  const line = lineOf('changing', 'limit.changing', rules, 'changing.pastMiddle');
  return cap(cap(ledger, 'floor', low - pastMiddle, line), 'ceiling', high + pastMiddle, line);
};

/** 10. The teacher's own note replaces what the rules came to. */
export const override: Rule = (ledger, { context, rules }) => {
  const move = (at: Ledger, side: Side): Ledger => {
    const said = context.override?.rules?.[side] ?? 'limit.by-hand';
    const line = { ...lineOf('override', said, rules), source: 'teacher' as const };
    return shift(at, side, (context.override?.[side] ?? at[side]) - at[side], line);
  };
  return move(move(ledger, 'floor'), 'ceiling');
};

/** 11. What nothing passes: the reach, a hard limit, the cap of a child or teenager. */
export const clamps: Rule = (ledger, { context, reach, rules }) => {
  const { hardFloor = -Infinity, hardCeiling = Infinity, measured } = context.voice;
  const usual = lineOf('reach', 'limit.reach', rules);
  const far = measured ? { ...usual, source: 'range-check' as const } : usual;
  const hard = { ...lineOf('hard-limit', 'limit.hard', rules), source: 'teacher' as const };
  const reached = cap(cap(ledger, 'floor', reach.low, far), 'ceiling', reach.high, far);
  const held = cap(cap(reached, 'floor', hardFloor, hard), 'ceiling', hardCeiling, hard);
  const young = ageTopOf(context.voice, rules);
  return young === null ? held : cap(held, 'ceiling', young.note, lineOf('age', young.said, rules));
};
