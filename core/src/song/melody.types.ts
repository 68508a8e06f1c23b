import type { Mode } from '../pattern/index.ts';
import type { Statement } from '../statement.ts';

/** One event of a melody as files have it; beats are quarter notes. A glide goes from `midi` to `to`; a rest has neither. */
export interface MelodyEvent {
  readonly midi?: number;
  readonly to?: number;
  readonly beats: number;
  readonly syllable?: string;
  /** The syllable before goes on. */
  readonly continues?: boolean;
}

/** What a file has that a melody cannot keep, or a melody that a file cannot. */
export const LOSSES = [
  'lost.chords-to-first',
  'lost.chords-to-highest',
  'lost.glides',
  'lost.graces',
  'lost.joined-glides',
  'lost.keys',
  'lost.marks',
  'lost.overlaps',
  'lost.parts',
  'lost.repeats',
  'lost.tempo-of-zero',
  'lost.tempos',
  'lost.tracks',
  'lost.tunes',
  'lost.voices',
  'lost.sign',
] as const;
export type Loss = Statement<(typeof LOSSES)[number]>;

/** A tune of one voice, read from a file or about to be written to one. */
export interface Melody {
  readonly title: string;
  readonly events: readonly MelodyEvent[];
  /** Beats per minute. */
  readonly tempo?: number;
  /** Pitch class of the tonic, 0 for C, where the file says it. */
  readonly tonicClass?: number;
  readonly mode?: Mode;
  /** Quarter notes in a bar, where the file says it. */
  readonly beatsPerBar?: number;
  /** What the file had and a melody cannot keep. */
  readonly dropped: readonly Loss[];
}
