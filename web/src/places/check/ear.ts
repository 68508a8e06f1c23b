import { findRange, hearingOf, pitchOf, type Hearing, type PitchFrame } from '@soft-lark/core';

/** What was heard while one note was asked for. */
export interface Heard {
  /** The first note that was held, MIDI; null for none. */
  readonly note: number | null;
  /** Where the voice cracked or turned over, MIDI. */
  readonly turns: readonly number[];
  /** The held note is the one asked for in another octave. */
  readonly isOctaveOff: boolean;
  readonly hearing: Hearing;
}

/** Judges what came while `target` was asked for. */
export function judge(frames: readonly PitchFrame[], target: number): Heard {
  const { held, cracks, turnovers } = findRange(frames);
  const note = held[0]?.midi ?? null;
  const turns = [...cracks.slice(0, 1).map(({ from }) => from), ...turnovers.slice(0, 1).map(({ at }) => at)];
  return {
    note,
    turns: turns.map(Math.round),
    isOctaveOff: note !== null && note !== target && (note - target) % 12 === 0,
    hearing: hearingOf(frames),
  };
}

const LEAST_TALK = 40;

/** The speaking note that talk proposes: the median pitch, once there is enough of it. */
export function speakingNoteOf(frames: readonly PitchFrame[]): number | null {
  const pitches = frames
    .filter(({ hz, clarity, level }) => hz > 50 && hz < 600 && clarity > 0.75 && level > 0.008)
    .map(({ hz }) => pitchOf(hz))
    .sort((a, b) => a - b);
  if (pitches.length < LEAST_TALK) return null;
  return Math.round(pitches[Math.floor(pitches.length / 2)] ?? 0);
}
