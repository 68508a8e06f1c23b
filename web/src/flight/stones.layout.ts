import { keyName, keysOf, type Ladder, type RunKey, type SkippedKey } from '@soft-lark/core';
import { writeNote } from '../text/note-names.ts';
import { say } from '../text/say.ts';

/** One key as a stepping stone. */
export interface Stone {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly key: string;
  readonly topNote: string;
  readonly tonic: number;
  readonly isStruck: boolean;
  /** Seconds from the start of the step's singing; none for a struck key. */
  readonly startsAt: number | null;
  /** Whether its note and time are written under it. */
  readonly isLabelled: boolean;
}

export interface StonePath {
  readonly stones: readonly Stone[];
  readonly radius: number;
  readonly width: number;
  readonly height: number;
  readonly turnIndex: number;
}

interface PlacedKey {
  readonly tonic: number;
  readonly topNote: string;
  readonly isStruck: boolean;
  readonly startsAt: number | null;
}

const LARGEST_RADIUS = 26;
const SMALLEST_RADIUS = 11;
const ROOM_UNDER = 34;
const ROOM_FOR_TURN = 26;
const ROOM_OVER = 6;
const LABEL_WIDTH = 58;

/** Puts struck keys back where the travel passes them: right after the sung key they follow in pitch and leg. */
function inTravelOrder(ladder: Ladder, patternHigh: number): PlacedKey[] {
  const placed: PlacedKey[] = keysOf(ladder.rungs).map(({ tonic, high, startsAt }) => ({
    tonic,
    topNote: writeNote(high),
    isStruck: false,
    startsAt,
  }));
  const turn = placed.reduce(
    (best, key, index) =>
      Math.abs(key.tonic - (placed[0]?.tonic ?? 0)) > Math.abs((placed[best]?.tonic ?? 0) - (placed[0]?.tonic ?? 0))
        ? index
        : best,
    0,
  );
  const seen = new Map<number, number>();
  for (const { tonic } of ladder.skipped) {
    const time = seen.get(tonic) ?? 0;
    seen.set(tonic, time + 1);
    insertStruck(
      placed,
      { tonic, topNote: writeNote(tonic + patternHigh), isStruck: true, startsAt: null },
      time,
      turn,
    );
  }
  return placed;
}

function insertStruck(placed: PlacedKey[], key: PlacedKey, time: number, turn: number): void {
  const rises = (placed[turn]?.tonic ?? key.tonic) >= (placed[0]?.tonic ?? key.tonic);
  const outward = placed.findIndex(({ tonic }) => (rises ? tonic > key.tonic : tonic < key.tonic));
  const homeward = placed.findLastIndex(({ tonic }) => (rises ? tonic > key.tonic : tonic < key.tonic));
  const at = time === 0 ? (outward < 0 ? placed.length : outward) : homeward + 1;
  placed.splice(at, 0, key);
}

function walk(keys: readonly PlacedKey[], width: number, height: number, over: number): StonePath {
  const count = Math.max(1, keys.length);
  const radius = Math.max(SMALLEST_RADIUS, Math.min(LARGEST_RADIUS, (width / count) * 0.4));
  const gap = Math.min(radius * 2.7, (width - 2 * radius - 8) / Math.max(1, count - 1));
  const tonics = keys.map(({ tonic }) => tonic);
  const low = Math.min(...tonics);
  const span = Math.max(4, Math.max(...tonics) - low);
  const tall = height - over - ROOM_UNDER - 2 * radius;
  const every = Math.max(1, Math.ceil(LABEL_WIDTH / gap));
  const turnIndex = tonics.indexOf(Math.max(...tonics));
  const isLabelled = (index: number): boolean => {
    if (index === 0 || index === count - 1 || index === turnIndex) return true;
    const clear = [0, turnIndex, count - 1].every((other) => Math.abs(other - index) >= every);
    return index % every === 0 && clear;
  };
  return {
    radius,
    width,
    height,
    turnIndex,
    stones: keys.map((key, index) => ({
      id: `${String(index)}-${String(key.tonic)}`,
      x: radius + 4 + gap * index,
      y: over + radius + tall * (1 - (key.tonic - low) / span),
      key: keyName(key.tonic),
      topNote: key.topNote,
      tonic: key.tonic,
      isStruck: key.isStruck,
      startsAt: key.startsAt,
      isLabelled: isLabelled(index) || (key.isStruck && every === 1),
    })),
  };
}

/** The keys of a planned ladder as stepping stones, left-out keys in their places. */
export function layStones(ladder: Ladder, patternHigh: number, width: number, height: number): StonePath {
  return walk(inTravelOrder(ladder, patternHigh), width, height, ROOM_OVER);
}

/** The keys of a step in a run as stepping stones. */
export function layRunStones(keys: readonly RunKey[], width: number, height: number): StonePath {
  let clock = 0;
  const placed = keys.map(({ tonic, high, seconds }) => {
    const startsAt = clock;
    clock += seconds;
    return { tonic, topNote: writeNote(high), isStruck: false, startsAt };
  });
  return walk(placed, width, height, ROOM_FOR_TURN);
}

/** Reasons of the left-out keys, each said once. */
export function skippedReasons(skipped: readonly SkippedKey[]): readonly string[] {
  return [...new Set(skipped.map(({ reason }) => say(reason)))];
}
