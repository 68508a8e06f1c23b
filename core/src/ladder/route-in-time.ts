import type { LadderInput, PlannedKey } from './ladder.types.ts';

/** House choice: keys whose top note lies so near a bridge, or so near the turn, are sung semitone by semitone. */
const FINE_AROUND_BRIDGE = 2;
const FINE_BEFORE_TURN = 3;

/** How far a leg may be thinned, one after the other: semitones between keys outside the fine zone and inside it. */
const THINNINGS = [
  { outside: 1, inside: 1 },
  { outside: 2, inside: 1 },
  { outside: 3, inside: 1 },
  { outside: 2, inside: 2 },
  { outside: 4, inside: 2 },
  { outside: Infinity, inside: Infinity },
] as const;

type Thinning = (typeof THINNINGS)[number];

function isFine({ pattern, bridges = [] }: LadderInput, tonic: number, turn: number): boolean {
  const top = tonic + pattern.high;
  return (
    Math.abs(turn - tonic) <= FINE_BEFORE_TURN || bridges.some((bridge) => Math.abs(top - bridge) <= FINE_AROUND_BRIDGE)
  );
}

/** The keys of a leg that are kept; its first and its last always are. */
function thin(
  input: LadderInput,
  leg: readonly PlannedKey[],
  turn: number,
  { outside, inside }: Thinning,
): readonly PlannedKey[] {
  let last: number | undefined;
  return leg.filter(({ tonic }, index) => {
    const gap = isFine(input, tonic, turn) ? inside : outside;
    const isKept = last === undefined || index === leg.length - 1 || Math.abs(tonic - last) >= gap;
    if (isKept) last = tonic;
    return isKept;
  });
}

/** A leg of the way back: what was sung at the turn is where it is counted from, and only its end is sure to be sung. */
function thinBack(
  input: LadderInput,
  leg: readonly PlannedKey[],
  turn: PlannedKey,
  thinning: Thinning,
): readonly PlannedKey[] {
  return thin(input, [turn, ...leg], turn.tonic, thinning).slice(1);
}

/**
 * Thins the keys of a ladder until they fit a time: first the way home, then the way out; semitones stay around a bridge
 * and before the turn, whole tones are enough elsewhere. Start, turn and the end of the way home are always sung.
 *
 * @param keys as laid out, outward leg first
 * @param secondsOf how long so many keys take
 * @returns all keys where they fit; the fewest there can be where even those are too long
 * @example C to G in semitones and home, with time for eleven keys: C D E F F♯ G, then home over F♯ F E D to C
 */
export function routeInTime(
  input: LadderInput,
  keys: readonly PlannedKey[],
  seconds: number,
  secondsOf: (keys: readonly PlannedKey[]) => number,
): readonly PlannedKey[] {
  if (secondsOf(keys) <= seconds) return keys;
  const outwardLeg = keys[0]?.leg;
  const out = keys.filter(({ leg }) => leg === outwardLeg);
  const back = keys.filter(({ leg }) => leg !== outwardLeg);
  const turn = out.at(-1);
  if (!turn) return keys;
  const routes = THINNINGS.flatMap((thinning, index) =>
    [thinning, THINNINGS[index + 1] ?? thinning].map((homeward) => [
      ...thin(input, out, turn.tonic, thinning),
      ...thinBack(input, back, turn, homeward),
    ]),
  );
  return routes.find((route) => secondsOf(route) <= seconds) ?? routes.at(-1) ?? keys;
}

/**
 * The way home from a turn, thinned as little as the time asks for.
 *
 * @param out keys sung before it, which are not thinned
 * @returns the fewest there can be where even those are too long
 */
export function homeInTime(
  input: LadderInput,
  out: readonly PlannedKey[],
  home: readonly PlannedKey[],
  seconds: number,
  secondsOf: (keys: readonly PlannedKey[]) => number,
): readonly PlannedKey[] {
  const turn = out.at(-1);
  const ways = THINNINGS.map((thinning) => [...out, ...(turn ? thinBack(input, home, turn, thinning) : home)]);
  return ways.find((way) => secondsOf(way) <= seconds) ?? ways.at(-1) ?? home;
}
