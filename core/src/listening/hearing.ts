import type { PitchFrame } from './listening.types.ts';
import { heldNotes } from './held-notes.ts';
import { isVoiced, medianOf, pitchOf } from './voiced.ts';

/** What the microphone seems to hear, so that a check that gets nowhere can say why. */
export type Hearing = 'nothing' | 'noise' | 'hum' | 'whistle' | 'talk' | 'music' | 'voice';

/** House choices, by the sound of a room. */
const SILENT_LEVEL = 0.004;
const WHISTLE_HZ = 1000;
const MAINS = [50, 60, 100, 120];
const MAINS_CENTS = 15;
const MAINS_SPREAD_CENTS = 6;
const LEAST_VOICED = 0.15;
/** Music goes on without a breath. */
const LONGEST_BREATH_SECONDS = 25;

function isMains(pitches: readonly number[]): boolean {
  const middle = medianOf(pitches);
  const spread = medianOf(pitches.map((pitch) => Math.abs(pitch - middle))) * 100;
  return MAINS.some((hz) => Math.abs(middle - pitchOf(hz)) * 100 <= MAINS_CENTS) && spread <= MAINS_SPREAD_CENTS;
}

/**
 * What a few seconds of frames are, most likely.
 *
 * @param frames the last seconds, in order of time
 */
export function hearingOf(frames: readonly PitchFrame[]): Hearing {
  if (frames.every(({ level }) => level < SILENT_LEVEL)) return 'nothing';
  const pitched = frames.filter(({ clarity, level, hz }) => hz > 0 && clarity >= 0.8 && level >= SILENT_LEVEL);
  if (pitched.length < frames.length * LEAST_VOICED) return 'noise';
  if (medianOf(pitched.map(({ hz }) => hz)) > WHISTLE_HZ) return 'whistle';
  if (isMains(pitched.map(({ hz }) => pitchOf(hz)))) return 'hum';
  const voiced = frames.filter(isVoiced);
  const seconds = (frames.at(-1)?.t ?? 0) - (frames[0]?.t ?? 0);
  if (seconds >= LONGEST_BREATH_SECONDS && voiced.length > frames.length * 0.95) return 'music';
  return heldNotes(frames).length === 0 ? 'talk' : 'voice';
}
