import { ladderOf } from './build-ladder.ts';
import type { Ladder, LadderInput } from './ladder.types.ts';
import { wayHome } from './plan-travel.ts';
import { homeInTime } from './route-in-time.ts';
import type { Statement } from '../statement.ts';

/**
 * The rest of a ladder when the teacher turns round in the key being sung: the planned way home from here.
 *
 * @param from tonic of the key being sung, not sung again
 * @returns the rungs still to sing; none where that key is the start
 */
export function turnBack(input: LadderInput, from: number): Ladder {
  const keys = wayHome(from, input.start, input.returnStep ?? input.step).map((tonic) => ({
    tonic,
    leg: 'home' as const,
  }));
  return ladderOf(input, keys, 'maxKeys');
}

/**
 * The rest of a ladder when the teacher goes straight home: the start key once, as the last.
 */
export function goHome(input: LadderInput): Ladder {
  return ladderOf({ ...input, timesPerKey: 1 }, [{ tonic: input.start, leg: 'home' }], 'maxKeys');
}

/** A few keys more and the way home, or why not. */
export type FewMore =
  | { readonly canBe: true; readonly ladder: Ladder }
  | { readonly canBe: false; readonly because: 'time' | 'limit'; readonly reason: Statement };

/**
 * So many keys further the same way, then home, thinned until it fits the time that is left.
 *
 * @param from tonic of the key being sung, not sung again
 * @param direction 1 where the ladder goes up, -1 where it goes down
 * @param seconds left for what comes after the key being sung
 * @example at D with a top of G: `two more` gives E♭ E, then home; at F♯ `two more` would reach over the top
 */
export function fewMoreThenHome(
  input: LadderInput,
  from: number,
  direction: 1 | -1,
  more: number,
  seconds: number,
): FewMore {
  const { pattern, step, start, floor, ceiling } = input;
  const out = Array.from({ length: more }, (_, index) => from + direction * step * (index + 1));
  const turn = out.at(-1) ?? from;
  const [highest, lowest] = [turn + pattern.high, turn + pattern.low];
  if (highest > ceiling)
    return {
      canBe: false,
      because: 'limit',
      reason: { code: 'key.reaches-over', values: { reached: { note: highest }, limit: { note: ceiling } } },
    };
  if (lowest < floor)
    return {
      canBe: false,
      because: 'limit',
      reason: { code: 'key.reaches-under', values: { reached: { note: lowest }, limit: { note: floor } } },
    };
  const leg = direction === 1 ? ('up' as const) : ('down' as const);
  const home = wayHome(turn, start, input.returnStep ?? step).map((tonic) => ({ tonic, leg: 'home' as const }));
  const way = homeInTime(
    input,
    out.map((tonic) => ({ tonic, leg })),
    home,
    seconds,
    (keys) => ladderOf(input, keys, 'maxKeys').seconds,
  );
  const ladder = ladderOf(input, way, 'maxKeys');
  return ladder.seconds <= seconds
    ? { canBe: true, ladder }
    : { canBe: false, because: 'time', reason: { code: 'key.no-time' } };
}
