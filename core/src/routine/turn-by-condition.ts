import type { SirenShape, Travel } from '../ladder/index.ts';
import type { PatternWork } from '../shelf/index.ts';
import type { RoutineContext } from './routine.types.ts';

type Day = Pick<RoutineContext, 'conditions' | 'travelApproach'>;

/** The usual distance of falling work from the ceiling, semitones. */
const HIGH_ANCHOR = 2;

const TURNED_TRAVEL: Readonly<Record<Travel, Travel>> = {
  rise: 'fall',
  'rise-return': 'fall-return',
  'rise-fall': 'fall',
  fall: 'fall',
  'fall-return': 'fall-return',
  stay: 'stay',
};

const TURNED_SHAPE: Readonly<Record<SirenShape, SirenShape>> = {
  up: 'down',
  'up-down': 'down-up',
  down: 'down',
  'down-up': 'down-up',
};

/** A low, heavy morning voice goes down first, unless the studio's approach fixes the direction. */
function goesDownFirst({ conditions, travelApproach }: Day): boolean {
  return conditions.includes('heavy') && travelApproach !== 'rise-only' && travelApproach !== 'high-to-low';
}

/** Falling work starts high; a start that is the voice's own stays. */
function turnedPlacement(placement: PatternWork['placement']): PatternWork['placement'] {
  const isFromBelow = placement.rule === 'low-anchor' || placement.rule === 'bridge-anchor';
  return isFromBelow ? { rule: 'high-anchor', semitones: HIGH_ANCHOR } : placement;
}

/**
 * An exercise as the day turns it: rising work falls on a heavy morning. What the teacher set by hand is not touched.
 *
 * @example rise-return from low-anchor, heavy: fall-return from high-anchor
 */
export function turnedWork(work: PatternWork, day: Day): PatternWork {
  const travel = TURNED_TRAVEL[work.travel];
  if (!goesDownFirst(day) || travel === work.travel) return work;
  return { ...work, travel, placement: turnedPlacement(work.placement) };
}

/** The shape of a glide as the day turns it. */
export function turnedSiren(shape: SirenShape, day: Day): SirenShape {
  return goesDownFirst(day) ? TURNED_SHAPE[shape] : shape;
}
