import { ONSET, VIBRATO } from './heard.data.ts';
import type { PitchFrame } from './listening.types.ts';
import { isVoiced, lastsOf, longestOf, medianOf, voicedStretches, type Moment } from './voiced.ts';

/** How a held note swings: times a second, and cents to each side of its middle. */
export interface Vibrato {
  readonly rateHz: number;
  readonly extentCents: number;
}

/** Deviations from a straight line through the pitch, in cents: a note may sink a little as a whole. */
function swingsOf(stretch: readonly Moment[]): readonly { readonly t: number; readonly cents: number }[] {
  const count = stretch.length;
  const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / count;
  const [t0, p0] = [mean(stretch.map(({ t }) => t)), mean(stretch.map(({ pitch }) => pitch))];
  const spread = stretch.reduce((sum, { t }) => sum + (t - t0) ** 2, 0);
  const slope = stretch.reduce((sum, { t, pitch }) => sum + (t - t0) * (pitch - p0), 0) / spread;
  return stretch.map(({ t, pitch }) => ({ t, cents: (pitch - p0 - slope * (t - t0)) * 100 }));
}

/** How strong a swing of one rate is in what was heard, cents to each side. */
function strengthAt(swings: readonly { readonly t: number; readonly cents: number }[], hz: number): number {
  const sums = swings.map(({ t, cents }) => [
    cents * Math.cos(2 * Math.PI * hz * t),
    cents * Math.sin(2 * Math.PI * hz * t),
  ]);
  const [cosine, sine] = [0, 1].map((part) => sums.reduce((sum, pair) => sum + (pair[part] ?? 0), 0));
  return (2 / swings.length) * Math.hypot(cosine ?? 0, sine ?? 0);
}

/**
 * How the longest held sound swings.
 *
 * @param frames of one note, in order of time
 * @returns rate and extent, `straight`, or null where no sound lasted 0.6 s
 * Source: a discrete Fourier sum over 3–9 Hz of the pitch, its line taken out.
 */
export function vibratoOf(frames: readonly PitchFrame[]): Vibrato | 'straight' | null {
  const longest = longestOf(voicedStretches(frames));
  // How the note is reached is no swing.
  const held = longest.filter(({ t }) => t - (longest[0]?.t ?? 0) >= ONSET.steadySeconds);
  if (lastsOf(held) < VIBRATO.leastSeconds) return null;
  const swings = swingsOf(held);
  const count = Math.round((VIBRATO.fastestHz - VIBRATO.slowestHz) / VIBRATO.stepHz) + 1;
  const rates = Array.from({ length: count }, (_, index) => VIBRATO.slowestHz + index * VIBRATO.stepHz);
  const found = rates.map((rateHz) => ({ rateHz, extentCents: strengthAt(swings, rateHz) }));
  const best = found.reduce((most, one) => (one.extentCents > most.extentCents ? one : most));
  const all = swings.reduce((sum, { cents }) => sum + cents ** 2, 0) / swings.length;
  const isVibrato = best.extentCents >= VIBRATO.leastCents && best.extentCents ** 2 / 2 >= VIBRATO.leastShare * all;
  return isVibrato
    ? { rateHz: Math.round(best.rateHz * 10) / 10, extentCents: Math.round(best.extentCents) }
    : 'straight';
}

/**
 * How long it takes from sound to a steady pitch. Relative, for the teacher only.
 *
 * @param frames of one note, in order of time
 * @returns milliseconds; null where the pitch never steadies
 */
export function onsetOf(frames: readonly PitchFrame[]): number | null {
  const [first = []] = voicedStretches(frames);
  const sounds = frames.find(isVoiced)?.t ?? 0;
  const isSteadyFrom = ({ t, pitch }: Moment): boolean => {
    const after = first.filter((other) => other.t >= t && other.t <= t + ONSET.steadySeconds);
    const lasts = (after.at(-1)?.t ?? t) - t >= ONSET.steadySeconds * 0.7;
    return lasts && after.every((other) => Math.abs(other.pitch - pitch) * 100 <= ONSET.steadyCents);
  };
  const steady = first.find(isSteadyFrom);
  return steady ? Math.round((steady.t - sounds) * 1000) : null;
}

/**
 * How evenly a sound or a hiss flows: the spread of its level between its ninth and its first tenth, as a share of the middle.
 * Relative, for the teacher only; no decibels.
 *
 * @param frames of the sound, silence around it left out
 * @returns 0 for a level that never changes; null for no sound
 */
export function evennessOf(frames: readonly PitchFrame[]): number | null {
  const levels = frames.map(({ level }) => level).filter((level) => level > 0);
  const sorted = [...levels].sort((a, b) => a - b);
  const at = (share: number): number => sorted[Math.floor(share * (sorted.length - 1))] ?? 0;
  return sorted.length > 0 ? (at(0.9) - at(0.1)) / medianOf(levels) : null;
}
