import type { PitchFrame } from './listening.types.ts';

/** House choices for a spoken-level microphone: what counts as voice, and how short a silence does not end it. */
const HEARD = { leastClarity: 0.78, leastLevel: 0.008, lowestHz: 50, highestHz: 1400 };
const BREAK_SECONDS = 0.08;
/** A slip of the detector is an octave off for a moment, and comes back; a crack stays away. */
const SLIP = { octave: 12, tolerance: 0.8, longestSeconds: 0.12 };

/** A moment of voice: its pitch as a fractional MIDI number. */
export interface Moment {
  readonly t: number;
  readonly pitch: number;
  readonly level: number;
}

export function isVoiced({ hz, clarity, level }: PitchFrame): boolean {
  return hz >= HEARD.lowestHz && hz <= HEARD.highestHz && clarity >= HEARD.leastClarity && level >= HEARD.leastLevel;
}

/** The fractional MIDI number of a frequency in Hz, A4 = 440. */
export function pitchOf(hz: number): number {
  return 69 + 12 * Math.log2(hz / 440);
}

export function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/** Brings frames that slipped an octave for a moment back to their neighbours. */
function withoutSlips(stretch: readonly Moment[]): readonly Moment[] {
  return stretch.map((moment, index) => {
    const around = stretch
      .slice(Math.max(0, index - 12), index + 13)
      .filter(({ t }) => Math.abs(t - moment.t) <= SLIP.longestSeconds * 2);
    const usual = medianOf(around.map(({ pitch }) => pitch));
    const off = moment.pitch - usual;
    const octaves = Math.round(off / SLIP.octave);
    const isSlip = octaves !== 0 && Math.abs(off - octaves * SLIP.octave) <= SLIP.tolerance;
    return isSlip ? { ...moment, pitch: moment.pitch - octaves * SLIP.octave } : moment;
  });
}

interface Timed {
  readonly t: number;
}

/** What follows within so many seconds stands together. @param moments in order of time */
export function stretchesOf<T extends Timed>(moments: readonly T[], gapSeconds: number): readonly (readonly T[])[] {
  const stretches: T[][] = [];
  for (const moment of moments) {
    const last = stretches.at(-1)?.at(-1);
    if (last && moment.t - last.t <= gapSeconds) stretches.at(-1)?.push(moment);
    else stretches.push([moment]);
  }
  return stretches;
}

/** Seconds from the first moment of a stretch to its last. */
export function lastsOf(stretch: readonly Timed[]): number {
  return (stretch.at(-1)?.t ?? 0) - (stretch[0]?.t ?? 0);
}

/** The longest of stretches; the first of those that last alike, and none of none. */
export function longestOf<T extends Timed>(stretches: readonly (readonly T[])[]): readonly T[] {
  return stretches.reduce<readonly T[]>((best, stretch) => (lastsOf(stretch) > lastsOf(best) ? stretch : best), []);
}

/**
 * Stretches of voice, parted by silence of more than 80 ms, octave slips of the detector taken out.
 *
 * @param frames in order of time
 */
export function voicedStretches(frames: readonly PitchFrame[]): readonly (readonly Moment[])[] {
  const voiced = frames.filter(isVoiced).map(({ t, hz, level }) => ({ t, pitch: pitchOf(hz), level }));
  return stretchesOf(voiced, BREAK_SECONDS).map(withoutSlips);
}
