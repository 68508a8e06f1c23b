import { factsOf, type Rule } from './case.ts';
import { condition, occasion } from './day-rules.ts';
import { changing, clamps, override } from './last-rules.ts';
import { EMPTY_LEDGER, type Side } from './ledger.ts';
import type { LedgerEntry, LimitContext, Limits } from './limits.types.ts';
import { belt, grit, modest, opening, purpose } from './purpose-rules.ts';
import { advice, base, closedEnds, margin, style } from './range-rules.ts';

/** The order is part of the contract: caps come after conditions, so that modest work is not made smaller twice. */
const RULES: readonly Rule[] = [
  base,
  closedEnds,
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
  changing,
  override,
  clamps,
];

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
