import { dayIs } from '../voice/index.ts';
import type { SirenShape, Travel } from '../ladder/index.ts';
import { answerTo, type PatternWork } from '../shelf/index.ts';
import type { DayContext } from './day.types.ts';

type Day = Pick<DayContext, 'conditions' | 'approach'>;

/** The usual distance of falling work from the ceiling, semitones. */
const HIGH_ANCHOR = 2;

type Direction = 'as-written' | 'turned' | 'rise-only' | 'high-to-low';

const TRAVELS: Readonly<Record<Exclude<Direction, 'as-written'>, Readonly<Partial<Record<Travel, Travel>>>>> = {
  turned: { rise: 'fall-return', 'rise-return': 'fall-return', 'rise-fall': 'fall-return' },
  'rise-only': { 'rise-return': 'rise', 'rise-fall': 'rise' },
  'high-to-low': { rise: 'fall', 'rise-return': 'fall', 'rise-fall': 'fall', 'fall-return': 'fall' },
};

const TURNED_SHAPE: Readonly<Record<SirenShape, SirenShape>> = {
  up: 'down',
  'up-down': 'down-up',
  down: 'down',
  'down-up': 'down-up',
};

/**
 * Where the keys go on such a day: two schools fix it; else a low, heavy morning voice goes down first, and where the
 * day leads, a tired one as well.
 */
function directionOn({ conditions, approach }: Day): Direction {
  const school = answerTo(approach, 'travel');
  if (school === 'rise-only' || school === 'high-to-low') return school;
  const goesDown = dayIs(conditions, 'low') || (school === 'by-condition' && dayIs(conditions, 'led-down'));
  return goesDown ? 'turned' : 'as-written';
}

/** Source: usual teaching, a low morning voice warms from its middle: the first key's top no higher above it. Semitones. */
const OVER_MIDDLE = 2;

/**
 * The highest start of turned work on a heavy morning: from the comfortable middle, not from under the ceiling.
 *
 * @param comfortable lowest and highest comfortable note, MIDI
 * @param high the pattern's highest note over its tonic, semitones
 * @returns null where the day sets none
 * @example middleStart of a fifth in A3–E5 on a heavy morning // 62, so that it tops out at A4
 */
export function middleStart(
  { conditions }: Pick<Day, 'conditions'>,
  comfortable: { readonly low: number; readonly high: number },
  high: number,
): number | null {
  if (!dayIs(conditions, 'low')) return null;
  return Math.floor((comfortable.low + comfortable.high) / 2) + OVER_MIDDLE - high;
}

/** Falling work starts high; a start that is the voice's own stays. */
function turnedPlacement(placement: PatternWork['placement']): PatternWork['placement'] {
  const isFromBelow = placement.rule === 'low-anchor' || placement.rule === 'bridge-anchor';
  return isFromBelow ? { rule: 'high-anchor', semitones: HIGH_ANCHOR } : placement;
}

/**
 * An exercise as the school and the day turn it: rising work falls on a heavy morning. What the teacher set by hand is
 * not touched.
 *
 * @example rise-return from low-anchor, heavy: fall-return, from the middle by `middleStart`
 */
export function turnedWork(work: PatternWork, day: Day): PatternWork {
  const direction = directionOn(day);
  const travel = direction === 'as-written' ? undefined : TRAVELS[direction][work.travel];
  if (travel === undefined) return work;
  const isTurned = work.travel.startsWith('rise') && travel.startsWith('fall');
  return { ...work, travel, placement: isTurned ? turnedPlacement(work.placement) : work.placement };
}

/** The shape of a glide as the school and the day turn it; a glide that goes up and down comes home by itself. */
export function turnedSiren(shape: SirenShape, day: Day): SirenShape {
  const direction = directionOn(day);
  return direction === 'turned' || direction === 'high-to-low' ? TURNED_SHAPE[shape] : shape;
}
