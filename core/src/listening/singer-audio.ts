import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { PitchFrame } from './listening.types.ts';
import { HOP_SECONDS } from './pitch-frames.ts';

const HARMONICS = 8;
const NOISE_SEED = 20_261_125;
/** A step longer than this between two frames is silence. */
const BREAK_SECONDS = HOP_SECONDS * 2.5;

interface Sounding {
  readonly hz: number;
  readonly level: number;
  readonly air: number;
}

/** What sounds at a moment, between two frames; nothing in a pause. */
function between(before: PitchFrame | undefined, after: PitchFrame | undefined, t: number): Sounding | null {
  if (!before || !after || after.t - before.t > BREAK_SECONDS) return null;
  const share = (t - before.t) / (after.t - before.t);
  const mix = (a: number, b: number): number => a + (b - a) * share;
  return {
    hz: mix(before.hz, after.hz),
    level: mix(before.level, after.level),
    air: Math.max(0, 1 - mix(before.clarity, after.clarity)),
  };
}

/**
 * The sound of frames: eight harmonics and the air beside them. A stand-in for a singer at the microphone.
 *
 * @param frames in order of time, seconds
 * @param sampleRate samples a second
 * @param seconds length of the sound; silence where no frame is
 * @returns samples −1–1
 */
export function singersAudio(frames: readonly PitchFrame[], sampleRate: number, seconds: number): Float32Array {
  const generator = xoroshiro128plus(NOISE_SEED);
  const samples = new Float32Array(Math.ceil(seconds * sampleRate));
  let at = 0;
  let phase = 0;
  for (let index = 0; index < samples.length; index += 1) {
    const t = index / sampleRate;
    while ((frames[at + 1]?.t ?? Infinity) <= t) at += 1;
    const sounding = between(frames[at], frames[at + 1], t);
    if (!sounding || t < (frames[0]?.t ?? Infinity)) continue;
    phase += (2 * Math.PI * sounding.hz) / sampleRate;
    let sum = 0;
    for (let harmonic = 1; harmonic <= HARMONICS && harmonic * sounding.hz < sampleRate / 2; harmonic += 1)
      sum += Math.sin(phase * harmonic) / harmonic;
    const air = (uniformFloat64(generator) * 2 - 1) * sounding.air;
    samples[index] = sounding.level * (sum + air);
  }
  return samples;
}
