import { BLOCK_SHARES, BLOCKS_BEFORE, DAY, type BlockCount, type Programme } from './day-plan.data.ts';
import { overlaps, placeBlocks, type Stretch, type WantedBlock } from './place-blocks.ts';

/** Something of the day that is fixed. Minutes since the midnight the day began with; past midnight more than 1,440. */
export interface FixedTime {
  readonly at: number;
  readonly minutes: number;
}

export interface DayWishes {
  readonly waking: number;
  /** In their order. */
  readonly performances: readonly FixedTime[];
  /** When the singer has to be there; left out nobody asks. */
  readonly call?: number;
  readonly meals: readonly FixedTime[];
  readonly travel: readonly FixedTime[];
  readonly blocks: BlockCount;
  readonly programme: Programme;
  /** Blocks that were moved by hand: their beginnings by id. */
  readonly held?: Readonly<Record<string, number>>;
}

export type BlockKind = keyof typeof BLOCK_SHARES | 'refresh' | 'cool-down';

/** One block of singing. */
export interface DayBlock extends FixedTime {
  readonly id: string;
  readonly kind: BlockKind;
}

/** What does not fit, or lies badly. */
export type DayFinding =
  /** A block of the kind was left out: there is no room for it. */
  | { readonly code: 'NO_ROOM'; readonly kind: BlockKind }
  /** So many minutes without singing before it. */
  | { readonly code: 'LONG_GAP'; readonly id: string; readonly minutes: number }
  /** A block that was moved by hand lies on something else. */
  | { readonly code: 'IN_THE_WAY'; readonly id: string }
  /** The performance begins before the voice has woken. */
  | { readonly code: 'WOKEN_LATE' };

export interface DayPlan {
  /** In the order of the day. */
  readonly blocks: readonly DayBlock[];
  readonly findings: readonly DayFinding[];
}

const endOf = ({ at, minutes }: FixedTime): number => at + minutes;
const stretchOf = (one: FixedTime, after = 0): Stretch => ({ from: one.at, to: endOf(one) + after });

/** The kinds of a day and their minutes, which share what the programme asks for. */
function wantedBefore({ blocks, programme }: Pick<DayWishes, 'blocks' | 'programme'>): readonly Omit<DayBlock, 'at'>[] {
  const kinds = BLOCKS_BEFORE[blocks];
  const shares = kinds.reduce((sum, kind) => sum + BLOCK_SHARES[kind], 0);
  return kinds.map((kind, index) => ({
    id: `${kind}-${String(index)}`,
    kind,
    minutes: Math.max(DAY.leastBlock, Math.round((DAY.before[programme] * BLOCK_SHARES[kind]) / shares)),
  }));
}

/** The last block is sung where the performance is, if there is time for it after coming in. */
function earliestReady({ at }: FixedTime, minutes: number, call: number | undefined): number {
  const there = call === undefined ? undefined : call + DAY.afterCall;
  return there !== undefined && there + minutes <= at - DAY.rest.least ? there : at - DAY.rest.most - minutes;
}

/** The last block ends a rest before the performance, the others lie evenly from waking on. */
function wantedIn(
  before: readonly Omit<DayBlock, 'at'>[],
  { waking, call, held = {} }: DayWishes,
  performance: FixedTime,
): readonly WantedBlock[] {
  const first = waking + DAY.afterWaking;
  const last = performance.at - DAY.rest.usual - (before.at(-1)?.minutes ?? 0);
  return before.map(({ id, minutes }, index) => {
    const isLast = index === before.length - 1;
    const share = before.length === 1 ? 1 : index / (before.length - 1);
    const own = held[id];
    return {
      minutes,
      ideal: first + share * (last - first),
      ...(own !== undefined && { held: own }),
      window: {
        from: isLast ? Math.max(first, earliestReady(performance, minutes, call)) : first,
        to: performance.at - DAY.rest.least,
      },
    };
  });
}

/** Where there is no room for all of them, the first that wakes is left out last. */
const LEFT_OUT_FIRST: readonly BlockKind[] = ['build', 'wake', 'ready'];

function blocksBefore(wishes: DayWishes, performance: FixedTime, busy: readonly Stretch[]): DayPlan {
  let before = wantedBefore(wishes);
  const findings: DayFinding[] = [];
  while (before.length > 0) {
    const starts = placeBlocks(wantedIn(before, wishes, performance), busy);
    if (starts) return { blocks: before.map((block, index) => ({ ...block, at: starts[index] ?? 0 })), findings };
    const kind = LEFT_OUT_FIRST.find((one) => before.some((block) => block.kind === one)) ?? 'ready';
    const at = before.findIndex((block) => block.kind === kind);
    before = before.filter((_, index) => index !== at);
    findings.push({ code: 'NO_ROOM', kind });
  }
  return { blocks: [], findings };
}

/** A short block before each performance after the first, where there is room since the one before. */
function refreshes({ performances }: DayWishes): DayPlan {
  const blocks: DayBlock[] = [];
  const findings: DayFinding[] = [];
  for (const [index, performance] of performances.slice(1).entries()) {
    const earlier = performances[index];
    const at = performance.at - DAY.rest.least - DAY.refresh;
    if (earlier && at < endOf(earlier) + DAY.rest.least) findings.push({ code: 'NO_ROOM', kind: 'refresh' });
    else blocks.push({ id: `refresh-${String(index + 1)}`, kind: 'refresh', at, minutes: DAY.refresh });
  }
  return { blocks, findings };
}

function coolDown(performances: readonly FixedTime[]): readonly DayBlock[] {
  const last = performances.at(-1);
  return last
    ? [{ id: 'cool-down', kind: 'cool-down', at: endOf(last) + DAY.grid, minutes: DAY.coolDown.minutes }]
    : [];
}

function inTheWay(blocks: readonly DayBlock[], busy: readonly Stretch[], { held = {} }: DayWishes): DayFinding[] {
  return blocks
    .filter((block) => held[block.id] !== undefined)
    .filter((block) => busy.some((one) => overlaps(one, stretchOf(block))))
    .map(({ id }) => ({ code: 'IN_THE_WAY', id }));
}

function longGaps(blocks: readonly DayBlock[]): DayFinding[] {
  return blocks.slice(1).flatMap((block, index) => {
    const before = blocks[index];
    const minutes = before ? block.at - endOf(before) : 0;
    return minutes > DAY.between.most ? [{ code: 'LONG_GAP' as const, id: block.id, minutes }] : [];
  });
}

/**
 * Lays out the singing of a day with a performance: short blocks from waking on, rest before going on, a cool-down after.
 * Nothing is laid on meals and the time after them, on travel, or on the performance.
 *
 * @returns no blocks before a performance where there is none
 */
export function planDay(wishes: DayWishes): DayPlan {
  const { performances, meals, travel, waking } = wishes;
  const [first] = performances;
  const busy = [
    ...meals.map((meal) => stretchOf(meal, DAY.afterMeal)),
    ...travel.map((way) => stretchOf(way)),
    ...performances.map((one) => stretchOf(one)),
  ];
  if (!first) return { blocks: [], findings: [] };
  const before = blocksBefore(wishes, first, busy);
  const refreshed = refreshes(wishes);
  return {
    blocks: [...before.blocks, ...refreshed.blocks, ...coolDown(performances)].sort((one, other) => one.at - other.at),
    findings: [
      ...(first.at - waking < DAY.afterWaking + DAY.rest.least ? [{ code: 'WOKEN_LATE' as const }] : []),
      ...before.findings,
      ...refreshed.findings,
      ...longGaps(before.blocks),
      ...inTheWay(before.blocks, busy, wishes),
    ],
  };
}
