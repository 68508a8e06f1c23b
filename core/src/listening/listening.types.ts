import type { PitchRange } from '../voice/index.ts';

/** What was heard in a moment. Seconds from the start; Hz, 0 where no pitch was found; clarity and level 0–1. */
export interface PitchFrame {
  readonly t: number;
  readonly hz: number;
  readonly clarity: number;
  readonly level: number;
}

/** A note that was held: the rounded median, and where it began. */
export interface HeldNote {
  readonly midi: number;
  readonly startSeconds: number;
  readonly seconds: number;
}

/** A sudden leap inside a voiced stretch. Pitches as fractional MIDI numbers. */
export interface Crack {
  readonly t: number;
  readonly from: number;
  readonly to: number;
}

/** A place where the sound turns over without a leap: the level dips and comes back. */
export interface Turnover {
  readonly t: number;
  readonly at: number;
}

export interface RangeFinding {
  readonly lowest: number | null;
  readonly highest: number | null;
  readonly held: readonly HeldNote[];
  readonly cracks: readonly Crack[];
  readonly turnovers: readonly Turnover[];
  /** Missing notes between the lowest and the highest, two semitones or more in a row. */
  readonly gaps: readonly PitchRange[];
}
