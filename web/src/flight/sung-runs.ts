import { pitchOf, type PitchFrame } from '@soft-lark/core';

/** A silence, or a leap, so long or wide ends a line. Seconds, semitones. */
const LONGEST_BREAK = 0.08;
const WIDEST_STEP = 3;
const LEAST_CLARITY = 0.7;
const LOWEST_HZ = 50;

/** A moment of a sung line: seconds, and the pitch as a fractional MIDI number. */
export interface SungPoint {
  readonly t: number;
  readonly pitch: number;
}

/** What was heard as lines: frames that belong together, without the noise between. */
export function sungRuns(frames: readonly PitchFrame[]): readonly (readonly SungPoint[])[] {
  const runs: SungPoint[][] = [];
  let last: SungPoint | undefined;
  for (const { t, hz, clarity } of frames) {
    if (clarity < LEAST_CLARITY || hz < LOWEST_HZ) continue;
    const point = { t, pitch: pitchOf(hz) };
    const isOn = last && t - last.t < LONGEST_BREAK && Math.abs(point.pitch - last.pitch) < WIDEST_STEP;
    if (isOn) runs.at(-1)?.push(point);
    else runs.push([point]);
    last = point;
  }
  return runs;
}
