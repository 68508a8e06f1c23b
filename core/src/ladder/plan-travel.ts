import type { Ladder, LadderInput, Leg, PlannedKey } from './ladder.types.ts';

/** The keys of a travel in order, and what ended the outward leg. */
export interface TravelPlan {
  readonly keys: readonly PlannedKey[];
  readonly stoppedBy: Ladder['stoppedBy'];
}

interface Outward {
  readonly tonics: readonly number[];
  readonly stoppedBy: Ladder['stoppedBy'];
}

/** Room left on the way from a tonic, semitones: to the ceiling going up, to the floor going down. */
function roomFrom(input: LadderInput, tonic: number, direction: 1 | -1): number {
  const { pattern, floor, ceiling } = input;
  return direction === 1 ? ceiling - (tonic + pattern.high) : tonic + pattern.low - floor;
}

function outward(input: LadderInput, direction: 1 | -1): Outward {
  const { start, step, maxKeys = Infinity, touchLimit = false } = input;
  const room = roomFrom(input, start, direction);
  const fitting = Math.floor(room / step) + 1;
  const count = Math.min(fitting, maxKeys);
  const tonics = Array.from({ length: count }, (_, index) => start + direction * step * index);
  if (fitting > maxKeys) return { tonics, stoppedBy: 'maxKeys' };
  const short = room - (count - 1) * step;
  const touches = touchLimit && short > 0 && count < maxKeys;
  return {
    tonics: touches ? [...tonics, start + direction * room] : tonics,
    stoppedBy: direction === 1 ? 'ceiling' : 'floor',
  };
}

/**
 * The tonics of the way home, ending on the start itself with a last, shorter step if need be.
 *
 * @param from the tonic one comes from; it is not sung again
 * @example wayHome(67, 60, 2) // 65, 63, 61, 60
 */
export function wayHome(from: number, start: number, returnStep: number): readonly number[] {
  const direction = Math.sign(start - from);
  const between = Math.max(0, Math.ceil(Math.abs(start - from) / returnStep) - 1);
  const steps = Array.from({ length: between }, (_, index) => from + direction * returnStep * (index + 1));
  return direction === 0 ? [] : [...steps, start];
}

function fallFrom(input: LadderInput, top: number, step: number): readonly number[] {
  const room = roomFrom(input, top, -1);
  const count = Math.floor(room / step);
  const tonics = Array.from({ length: count }, (_, index) => top - step * (index + 1));
  const short = room - count * step;
  return input.touchLimit && short > 0 ? [...tonics, top - room] : tonics;
}

function onLeg(tonics: readonly number[], leg: Leg): readonly PlannedKey[] {
  return tonics.map((tonic) => ({ tonic, leg }));
}

/** Lays out the keys of a travel as if there were no zones. */
export function planTravel(input: LadderInput): TravelPlan {
  const { travel, start, step, returnStep = step } = input;
  if (travel === 'stay') return { keys: onLeg([start], 'up'), stoppedBy: 'stay' };
  const falls = travel === 'fall' || travel === 'fall-return';
  const { tonics, stoppedBy } = outward(input, falls ? -1 : 1);
  const out = onLeg(tonics, falls ? 'down' : 'up');
  const turn = tonics.at(-1) ?? start;
  if (travel === 'rise-return' || travel === 'fall-return') {
    return { keys: [...out, ...onLeg(wayHome(turn, start, returnStep), 'home')], stoppedBy };
  }
  if (travel === 'rise-fall') {
    return { keys: [...out, ...onLeg(fallFrom(input, turn, returnStep), 'down')], stoppedBy };
  }
  return { keys: out, stoppedBy };
}
