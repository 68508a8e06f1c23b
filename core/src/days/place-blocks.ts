import { DAY } from './day-plan.data.ts';

/** A stretch of a day in minutes since its midnight; the end lies outside. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** A block that wants a place. */
export interface WantedBlock {
  readonly minutes: number;
  /** Where it would begin if nothing stood in the way. */
  readonly ideal: number;
  /** It begins here, whatever stands in the way. */
  readonly held?: number;
  readonly window: Stretch;
}

/** Whether two stretches share a moment. */
export function overlaps(one: Stretch, other: Stretch): boolean {
  return one.from < other.to && other.from < one.to;
}

/** Every beginning a block may have. */
function startsOf({ minutes, window, held }: WantedBlock, busy: readonly Stretch[]): readonly number[] {
  if (held !== undefined) return [held];
  const first = Math.ceil(window.from / DAY.grid) * DAY.grid;
  const count = Math.max(0, Math.floor((window.to - minutes - first) / DAY.grid) + 1);
  return Array.from({ length: count }, (_, index) => first + index * DAY.grid).filter(
    (from) => !busy.some((one) => overlaps(one, { from, to: from + minutes })),
  );
}

interface Reached {
  readonly starts: readonly number[];
  readonly cost: number;
}

/**
 * Finds beginnings for blocks in their order, as near to their ideals as the least gaps allow: of all ways the one with
 * the least sum of squares away from the ideals.
 *
 * @returns null where there is none
 */
export function placeBlocks(blocks: readonly WantedBlock[], busy: readonly Stretch[]): readonly number[] | null {
  let reached = new Map<number, Reached>([[Number.NEGATIVE_INFINITY, { starts: [], cost: 0 }]]);
  for (const [index, block] of blocks.entries()) {
    const before = blocks[index - 1];
    const next = new Map<number, Reached>();
    for (const start of startsOf(block, busy))
      for (const [last, { starts, cost }] of reached) {
        const gap = start - last - (before?.minutes ?? 0);
        if (before && gap < DAY.between.least) continue;
        const sum = cost + (start - block.ideal) ** 2;
        if (sum < (next.get(start)?.cost ?? Infinity)) next.set(start, { starts: [...starts, start], cost: sum });
      }
    reached = next;
  }
  const ways = [...reached.values()].sort((one, other) => one.cost - other.cost);
  return ways[0]?.starts ?? null;
}
