import type { Statement } from '../statement.ts';
import type { LadderInput, PlannedKey, SkippedKey } from './ladder.types.ts';

/** Keys of a travel with those a teacher put in, and those that found no room. */
export interface KeysByHand {
  readonly keys: readonly PlannedKey[];
  readonly refused: readonly SkippedKey[];
}

/** Why a key cannot be sung at all within the limits of a ladder. */
function overLimit({ pattern, floor, ceiling }: LadderInput, tonic: number): Statement | null {
  if (tonic + pattern.high > ceiling) return { code: 'key.over', values: { note: { note: tonic + pattern.high } } };
  return tonic + pattern.low < floor ? { code: 'key.under', values: { note: { note: tonic + pattern.low } } } : null;
}

/**
 * Puts the keys a teacher added in their places on the outward leg. The way home is left as it is.
 *
 * @param keys as laid out by a travel
 * @returns `refused` with the reason where a key would go over a limit; a key that is there already is left alone
 */
export function addKeys(input: LadderInput, keys: readonly PlannedKey[]): KeysByHand {
  const outwardLeg = keys[0]?.leg ?? 'up';
  const outward = keys.filter(({ leg }) => leg === outwardLeg);
  const wanted = [...new Set(input.added ?? [])].filter((tonic) => !outward.some((key) => key.tonic === tonic));
  const refused = wanted.flatMap((tonic) => {
    const reason = overLimit(input, tonic);
    return reason === null ? [] : [{ tonic, reason }];
  });
  const fitting = wanted.filter((tonic) => !refused.some((one) => one.tonic === tonic));
  if (fitting.length === 0) return { keys, refused };
  const turn = (outward.at(-1)?.tonic ?? 0) < (outward[0]?.tonic ?? 0) ? -1 : 1;
  const added = fitting.map((tonic) => ({ tonic, leg: outwardLeg }));
  const sorted = [...outward, ...added].sort((a, b) => turn * (a.tonic - b.tonic));
  return { keys: [...sorted, ...keys.filter(({ leg }) => leg !== outwardLeg)], refused };
}
