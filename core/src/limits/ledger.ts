import type { Statement } from '../statement.ts';
import type { LedgerEntry, LimitCode, LineSource, RuleName } from './limits.types.ts';

export type Side = LedgerEntry['side'];

/** A limit ledger while it is being written: each line is applied to the last result of its side. */
export interface Ledger {
  readonly entries: readonly LedgerEntry[];
  readonly floor: number;
  readonly ceiling: number;
}

/** What a rule says of its line. */
export interface LineWords {
  readonly rule: RuleName;
  readonly said: Statement<LimitCode>;
  readonly source: LineSource;
  readonly date?: string;
}

export const EMPTY_LEDGER: Ledger = { entries: [], floor: -Infinity, ceiling: Infinity };

function write(ledger: Ledger, side: Side, effect: LedgerEntry['effect'], result: number, words: LineWords): Ledger {
  return { ...ledger, [side]: result, entries: [...ledger.entries, { side, effect, result, ...words }] };
}

/** Shifts a side by so many semitones; no line where there is no shift. */
export function shift(ledger: Ledger, side: Side, delta: number, words: LineWords): Ledger {
  return delta === 0 ? ledger : write(ledger, side, { delta }, ledger[side] + delta, words);
}

/** Caps a side at a note; no line where the side is already inside it. */
export function cap(ledger: Ledger, side: Side, note: number, words: LineWords): Ledger {
  const binds = side === 'ceiling' ? note < ledger.ceiling : note > ledger.floor;
  return binds ? write(ledger, side, { cap: note }, note, words) : ledger;
}

/**
 * Applies ledger entries again, from the base of each side.
 *
 * @returns the floor and ceiling the entries lead to, MIDI
 */
export function replayLedger(entries: readonly LedgerEntry[]): { readonly floor: number; readonly ceiling: number } {
  const after = (side: Side): number =>
    entries
      .filter((entry) => entry.side === side)
      .reduce(
        (note, { effect }) => {
          if ('delta' in effect) return note + effect.delta;
          return side === 'ceiling' ? Math.min(note, effect.cap) : Math.max(note, effect.cap);
        },
        side === 'ceiling' ? Infinity : -Infinity,
      );
  return { floor: after('floor'), ceiling: after('ceiling') };
}
