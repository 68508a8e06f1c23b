import { LadderError } from '../errors.ts';
import { narrowPattern, type Pattern } from '../pattern/index.ts';
import type { PitchRange } from '../voice/index.ts';
import { zoneSounded } from './zones.ts';

/** One of several singers: what each may sound today, MIDI. */
export interface GroupSinger {
  readonly id: string;
  readonly floor: number;
  readonly ceiling: number;
  readonly avoid?: readonly PitchRange[];
}

/** Keys that several singers have in common. */
export interface CommonKeys {
  /** Written tonics, MIDI, ascending. */
  readonly tonics: readonly number[];
  /** The octave each singer sings at from the written key, −2 to +1. */
  readonly octaveOf: Readonly<Record<string, number>>;
  /** The same shape in a smaller span, where that gives enough keys. */
  readonly smaller?: Pattern;
  /** Two groups that have more keys in common each, as ids: the second way out, after a smaller span. */
  readonly groups?: readonly (readonly string[])[];
}

/** Nearest first, so that of equals the first found is the one wanted. */
const OCTAVES = [0, -1, 1, -2] as const;
/** Source: house choice; with fewer keys a group has little to carry. */
const ENOUGH_KEYS = 3;
/** Every split of so many singers is tried; more are split where their voices lie apart. */
const MOST_SPLIT = 9;
const LOWEST = 0;
const HIGHEST = 127;

function tonicsOf({ floor, ceiling, avoid = [] }: GroupSinger, pattern: Pattern): ReadonlySet<number> {
  const tonics = new Set<number>();
  for (let tonic = LOWEST; tonic <= HIGHEST; tonic += 1)
    if (tonic + pattern.low >= floor && tonic + pattern.high <= ceiling && !zoneSounded(pattern, tonic, avoid))
      tonics.add(tonic);
  return tonics;
}

interface Choice {
  readonly tonics: readonly number[];
  readonly octaves: readonly number[];
  readonly distance: number;
}

/** The octaves with most keys in common; of equals the nearest in sum, then the nearest in the order of the singers. */
function bestOctaves(sets: readonly ReadonlySet<number>[]): Choice {
  const all = Array.from({ length: HIGHEST - LOWEST + 1 }, (_, index) => LOWEST + index);
  const within = (tonics: readonly number[], set: ReadonlySet<number> | undefined, octave: number): readonly number[] =>
    tonics.filter((tonic) => set?.has(tonic + 12 * octave));
  const plain = sets.reduce<readonly number[]>((tonics, set) => within(tonics, set, 0), all);
  let best: Choice = { tonics: plain, octaves: sets.map(() => 0), distance: 0 };
  const walk = (index: number, tonics: readonly number[], octaves: readonly number[], distance: number): void => {
    const isWorse =
      tonics.length < best.tonics.length || (tonics.length === best.tonics.length && distance >= best.distance);
    if (isWorse) return;
    if (index === sets.length) {
      best = { tonics, octaves, distance };
      return;
    }
    for (const octave of OCTAVES)
      walk(index + 1, within(tonics, sets[index], octave), [...octaves, octave], distance + Math.abs(octave));
  };
  walk(0, all, [], 0);
  return best;
}

/** The smallest cut of the pattern that gives enough keys. */
function smallerFor(singers: readonly GroupSinger[], pattern: Pattern): Pattern | undefined {
  for (let span = pattern.high - pattern.low - 1; span > 0; span -= 1) {
    const narrow = narrowPattern(pattern, span);
    if (!narrow) return undefined;
    if (bestOctaves(singers.map((singer) => tonicsOf(singer, narrow))).tonics.length >= ENOUGH_KEYS) return narrow;
  }
  return undefined;
}

function splitsOf(singers: readonly GroupSinger[]): readonly (readonly [readonly number[], readonly number[]])[] {
  const indexes = singers.map((_, index) => index);
  const parted = (isFirst: (index: number) => boolean): readonly [readonly number[], readonly number[]] => [
    indexes.filter(isFirst),
    indexes.filter((index) => !isFirst(index)),
  ];
  if (singers.length <= MOST_SPLIT)
    return Array.from({ length: 2 ** (singers.length - 1) - 1 }, (_, mask) =>
      parted((index) => index === 0 || (mask & (1 << (index - 1))) !== 0),
    );
  const byHeight = [...indexes].sort(
    (a, b) =>
      (singers[a]?.floor ?? 0) + (singers[a]?.ceiling ?? 0) - (singers[b]?.floor ?? 0) - (singers[b]?.ceiling ?? 0),
  );
  return indexes.slice(1).map((cut) => parted((index) => byHeight.indexOf(index) < cut));
}

/** Two groups of which the poorer has most keys, then both together. */
function groupsFor(singers: readonly GroupSinger[], sets: readonly ReadonlySet<number>[]): CommonKeys['groups'] {
  const keysOf = (indexes: readonly number[]): number =>
    bestOctaves(indexes.flatMap((index) => sets[index] ?? [])).tonics.length;
  let best: { readonly groups: readonly (readonly number[])[]; readonly least: number; readonly sum: number } | null =
    null;
  for (const groups of splitsOf(singers)) {
    const counts = groups.map(keysOf);
    const least = Math.min(...counts);
    const sum = counts.reduce((total, count) => total + count, 0);
    if (!best || least > best.least || (least === best.least && sum > best.sum)) best = { groups, least, sum };
  }
  return best?.groups.map((indexes) => indexes.flatMap((index) => singers[index]?.id ?? []));
}

/**
 * The keys several singers have in common, each at an octave of the written key (−2 to +1): octaves are chosen for most
 * common keys, then for the least sum of their distances, then for the least distance in the order of the singers.
 *
 * @param singers what each may sound today; one at least, each with an id of its own
 * @returns written tonics, ascending. Under three of them a smaller span is proposed, and where that is not enough two groups
 * @throws LadderError `BAD_SETTING` without singers, or with the same id twice
 * @example C4–G5, G3–D5, C3–G4 and F2–C4 share C4 to F4 on a pattern of a fifth, C4 alone on an octave
 */
export function commonKeys(singers: readonly GroupSinger[], pattern: Pattern): CommonKeys {
  if (singers.length === 0 || new Set(singers.map(({ id }) => id)).size < singers.length)
    throw new LadderError(
      'BAD_SETTING',
      singers.length === 0 ? 'There is no singer in the group.' : 'One singer is in the group twice.',
      'Take each singer once.',
      { setting: 'singers', value: null },
    );
  const sets = singers.map((singer) => tonicsOf(singer, pattern));
  const { tonics, octaves } = bestOctaves(sets);
  const common = { tonics, octaveOf: Object.fromEntries(singers.map(({ id }, index) => [id, octaves[index] ?? 0])) };
  if (tonics.length >= ENOUGH_KEYS) return common;
  const smaller = smallerFor(singers, pattern);
  const groups = singers.length > 1 ? groupsFor(singers, sets) : undefined;
  return { ...common, ...(smaller && { smaller }), ...(groups && { groups }) };
}
