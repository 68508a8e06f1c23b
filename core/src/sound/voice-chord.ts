import { MODES, type Mode } from '../pattern/index.ts';
import type { PitchRange } from '../voice/index.ts';

/** The notes the sampled piano has. */
const LOWEST_PIANO = 33;
const HIGHEST_PIANO = 88;

/**
 * Moves a backing note by octaves out of every zone and into the piano's range.
 *
 * @returns `null` where no octave of it may sound
 */
export function clearOctave(midi: number, avoid: readonly PitchRange[]): number | null {
  const octaves = [0, -12, 12, -24, 24, 36];
  const free = octaves
    .map((shift) => midi + shift)
    .find(
      (note) =>
        note >= LOWEST_PIANO && note <= HIGHEST_PIANO && !avoid.some(({ low, high }) => note >= low && note <= high),
    );
  return free ?? null;
}

export interface VoicedChord {
  readonly bass: number | null;
  readonly notes: readonly number[];
}

/**
 * The chord that gives a new key: the mode's triad on the tonic and its bass an octave below, all outside the zones.
 *
 * @example voiceChord(60, 'major', []) // bass 48, notes 60 64 67
 */
export function voiceChord(tonic: number, mode: Mode, avoid: readonly PitchRange[]): VoicedChord {
  const scale = MODES[mode];
  const triad = [0, scale[2] ?? 4, scale[4] ?? 7].map((semitones) => clearOctave(tonic + semitones, avoid));
  return { bass: clearOctave(tonic - 12, avoid), notes: triad.flatMap((note) => note ?? []) };
}
