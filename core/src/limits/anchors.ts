import { referenceOf, type PitchRange, type Voice } from '../voice/index.ts';
import type { LimitAnchor, LimitRule } from './limit-rule.schema.ts';
import type { Statement } from '../statement.ts';
import type { LimitCode, RuleTable } from './limits.types.ts';
import { beltTopOf } from './young.ts';

type Side = 'floor' | 'ceiling';

function noteOf(
  from: LimitAnchor,
  side: Side,
  voice: Voice,
  rules: RuleTable,
  song: PitchRange | undefined,
): number | undefined {
  const reference = referenceOf(voice, rules.ranges);
  switch (from) {
    case 'bridge':
      return voice.bridges?.[0] ?? reference.bridges[0];
    case 'comfortable': {
      const range = voice.measured ?? reference.comfortable;
      return side === 'floor' ? range.low : range.high;
    }
    case 'chest-top':
      return beltTopOf(voice, rules)?.note;
    case 'song':
      return side === 'floor' ? song?.low : song?.high;
  }
}

/**
 * The note an end by rule comes to in a voice, and what the ledger says of it.
 *
 * @param song lowest and highest note of the piece in hand
 * @returns nothing where the voice has no such anchor: no belt of its own, no piece in hand
 * @example bridges at E♭4 and 'two under the bridge': D♭4
 */
export function limitByRule(
  { from, by }: LimitRule,
  side: Side,
  voice: Voice,
  rules: RuleTable,
  song: PitchRange | undefined,
): { readonly note: number; readonly said: Statement<LimitCode> } | undefined {
  const note = noteOf(from, side, voice, rules, song);
  if (note === undefined) return undefined;
  const anchor = { word: `${from}-${side}`, of: 'anchor' } as const;
  const off = by === 0 ? {} : { count: Math.abs(by), context: by < 0 ? 'under' : 'over' };
  return { note: note + by, said: { code: 'limit.by-rule', values: { anchor, ...off } } };
}
