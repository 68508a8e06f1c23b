import type { BreathCounts } from './durations.ts';

/** Where a breath exercise stands: the cycle (from 1), what the breath does, and the count (from 1). */
export interface BreathMoment {
  readonly cycle: number;
  readonly phase: 'in' | 'hold' | 'out' | 'rest';
  readonly count: number;
}

/**
 * The count a breath exercise is at.
 *
 * @param seconds since its start
 * @returns `null` once it is over
 * @example breathMoment({ inCounts: 3, holdCounts: 0, outCounts: 12, restCounts: 6, cycles: 4, countTempo: 60 }, 4.5) // cycle 1, out 2
 */
export function breathMoment(counts: BreathCounts, seconds: number): BreathMoment | null {
  const phases = [
    ['in', counts.inCounts],
    ['hold', counts.holdCounts],
    ['out', counts.outCounts],
    ['rest', counts.restCounts],
  ] as const;
  const inCycle = phases.reduce((sum, [, length]) => sum + length, 0);
  const at = Math.floor((seconds * counts.countTempo) / 60);
  const cycle = Math.floor(at / inCycle) + 1;
  if (cycle > counts.cycles) return null;
  let count = at % inCycle;
  for (const [phase, length] of phases) {
    if (count < length) return { cycle, phase, count: count + 1 };
    count -= length;
  }
  return null;
}
