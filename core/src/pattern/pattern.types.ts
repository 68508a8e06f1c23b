/** Scales in which a pattern's degrees are counted. */
export type Mode = 'major' | 'minor' | 'harmonic-minor' | 'dorian' | 'mixolydian';

/**
 * One event of a pattern. Pitches are semitones from degree 1, a note has `from` = `to`, a rest has neither.
 */
export interface PatternEvent {
  readonly kind: 'note' | 'glide' | 'rest';
  readonly from?: number;
  readonly to?: number;
  readonly beats: number;
  /** The syllable sung here. */
  readonly syllable?: string;
  /** The syllable began on an earlier event and goes on. */
  readonly continues?: boolean;
  /** Goes on from the glide before, in the same token. */
  readonly joined?: boolean;
}

/** How events can be sung; the last four are a register and a loudness of their own. */
export const MARK_KINDS = [
  'staccato',
  'legato',
  'straight',
  'vibrato',
  'crescendo',
  'decrescendo',
  'hold',
  'wait',
  'heavy',
  'light',
  'loud',
  'soft',
] as const;

export type MarkKind = (typeof MARK_KINDS)[number];

/** A mark on the events `first`–`last` (indexes into `events`, both included). */
export interface PatternMark {
  readonly kind: MarkKind;
  readonly first: number;
  readonly last: number;
}

/** A tune in degrees, ready to be carried through the keys. `low` and `high` are semitones from degree 1. */
export interface Pattern {
  readonly mode: Mode;
  readonly events: readonly PatternEvent[];
  readonly beats: number;
  readonly voicedBeats: number;
  readonly low: number;
  readonly high: number;
  readonly marks?: readonly PatternMark[];
}

/** A sounding event, its pitches known to be there. */
export type SoundingEvent = PatternEvent & { readonly from: number; readonly to: number };

/** Tells notes and glides from rests. */
export function isSounding(event: PatternEvent): event is SoundingEvent {
  return event.kind !== 'rest';
}
