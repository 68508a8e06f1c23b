/** A breath exercise by counts: seconds-free counts of one cycle, the number of cycles, counts per minute. */
export interface BreathCounts {
  readonly inCounts: number;
  readonly holdCounts: number;
  readonly outCounts: number;
  readonly restCounts: number;
  readonly cycles: number;
  readonly countTempo: number;
}

/** A breath exercise by bursts: so many goes of so many seconds, with rests between. */
export interface BreathBursts {
  readonly repeats: number;
  readonly secondsEach: number;
  readonly restSeconds: number;
}

/**
 * Seconds of a breath exercise.
 *
 * @example breathSeconds({ inCounts: 4, holdCounts: 0, outCounts: 6, restCounts: 0, cycles: 6, countTempo: 60 }) // 60
 */
export function breathSeconds(breath: BreathCounts | BreathBursts): number {
  if ('cycles' in breath) {
    const counts = breath.inCounts + breath.holdCounts + breath.outCounts + breath.restCounts;
    return (breath.cycles * counts * 60) / breath.countTempo;
  }
  return breath.repeats * breath.secondsEach + (breath.repeats - 1) * breath.restSeconds;
}

/**
 * Seconds of a spoken exercise: repeats of so many beats, each so much quicker than the one before.
 *
 * @param quickening share by which the tempo grows at each repeat, 0 for none
 * @example spokenSeconds({ repeats: 6, beats: 4, tempo: 96, quickening: 0 }) // 15
 */
export function spokenSeconds(spoken: {
  readonly repeats: number;
  readonly beats: number;
  readonly tempo: number;
  readonly quickening?: number;
}): number {
  const { repeats, beats, tempo, quickening = 0 } = spoken;
  return Array.from({ length: repeats }, (_, index) => (beats * 60) / (tempo * (1 + quickening) ** index)).reduce(
    (a, b) => a + b,
    0,
  );
}
