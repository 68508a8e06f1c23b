// Source: house reading of usual practice: a tune is carried through the voice, not touched here and there.
import type { Stage } from '../limits/index.ts';

/** Keys outward that a ladder goes through at least where the voice has them, by stage. */
const LEAST_KEYS: Readonly<Partial<Record<Stage, number>>> = {
  occluded: 5,
  resonance: 5,
  middle: 5,
  registers: 5,
  range: 5,
  agility: 5,
};
const LEAST_KEYS_ELSEWHERE = 3;

/** Keys outward a ladder of this stage goes through at least. */
export function leastKeys(stage: Stage): number {
  return LEAST_KEYS[stage] ?? LEAST_KEYS_ELSEWHERE;
}
