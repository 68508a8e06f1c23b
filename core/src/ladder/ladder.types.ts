import type { Pattern } from '../pattern/index.ts';
import type { Statement } from '../statement.ts';
import type { PitchRange } from '../voice/index.ts';
import type { SecondPass } from './second-pass.schema.ts';

export const TRAVELS = ['rise-return', 'rise', 'fall', 'fall-return', 'rise-fall', 'stay'] as const;
export type Travel = (typeof TRAVELS)[number];

export const LEGS = ['up', 'down', 'home'] as const;
export type Leg = (typeof LEGS)[number];

/** Where a key lies against the bridge. */
export const ZONES = ['low', 'bridge', 'above'] as const;
export type Zone = (typeof ZONES)[number];

/** Settings of a ladder. Pitches MIDI, steps semitones, tempo beats per minute. */
export interface LadderInput {
  readonly pattern: Pattern;
  readonly start: number;
  readonly step: number;
  readonly travel: Travel;
  readonly floor: number;
  readonly ceiling: number;
  readonly returnStep?: number;
  readonly timesPerKey?: number;
  /** Keys of the outward leg at most, the start included. */
  readonly maxKeys?: number;
  /** Adds the key that lands on the limit where the leg ends short of it. */
  readonly touchLimit?: boolean;
  readonly tempo: number;
  /** Beats per minute added at each new planned key. */
  readonly tempoStep?: number;
  readonly cueBeats?: number;
  readonly restBeats?: number;
  /** Closed intervals that must never sound. */
  readonly avoid?: readonly PitchRange[];
  /** Missing notes of the voice, closed intervals: a key that lands in one is struck, a glide may pass through. */
  readonly gaps?: readonly PitchRange[];
  /** Register turnovers, for the zones. */
  readonly bridges?: readonly number[];
  /** Tonics a teacher left out by hand, on every leg. */
  readonly struck?: readonly number[];
  /** Tonics a teacher put in, sung in their place on the outward leg. */
  readonly added?: readonly number[];
  /** After so many keys a longer rest, seconds. */
  readonly restAfter?: { readonly keys: number; readonly seconds: number };
  /** Keys are thinned until the ladder takes no longer. */
  readonly withinSeconds?: number;
  /** The same ladder a second time. */
  readonly again?: SecondPass;
}

/** A key as the travel lays it out, before zones strike any. */
export interface PlannedKey {
  readonly tonic: number;
  readonly leg: Leg;
}

/** One singing of the pattern in one key. Times in seconds from the start of the ladder. */
export interface Rung extends PlannedKey {
  readonly low: number;
  readonly high: number;
  /** The cue begins. */
  readonly startsAt: number;
  /** The singing begins. */
  readonly singsAt: number;
  readonly endsAt: number;
  readonly tempo: number;
  readonly zone: Zone;
  /** Left out the first time through. */
  readonly pass?: 2;
}

export interface SkippedKey {
  readonly tonic: number;
  readonly reason: Statement;
}

export interface Ladder {
  readonly rungs: readonly Rung[];
  readonly skipped: readonly SkippedKey[];
  readonly stoppedBy: 'ceiling' | 'floor' | 'maxKeys' | 'stay';
  readonly seconds: number;
  readonly voicedSeconds: number;
  readonly lowest: number | null;
  readonly highest: number | null;
}
