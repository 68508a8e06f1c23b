import type { Caution } from './cautions.data.ts';
import type { LastingObstacle } from './obstacles.data.ts';

export const VOICE_TYPES = [
  'soprano',
  'mezzo-soprano',
  'contralto',
  'countertenor',
  'tenor',
  'baritone',
  'bass-baritone',
  'bass',
  'treble',
  'changing',
] as const;
export type VoiceType = (typeof VOICE_TYPES)[number];

export const CHANGING_STAGES = ['first', 'second', 'third', 'new', 'settling', 'early', 'peak', 'young-adult'] as const;
export type ChangingStage = (typeof CHANGING_STAGES)[number];

export const STYLES = [
  'classical',
  'theatre',
  'pop',
  'jazz',
  'folk',
  'choral',
  'heavy',
  'gospel',
  'rock',
  'rnb',
] as const;
export type Style = (typeof STYLES)[number];

export const OCCASIONS = ['lesson', 'home', 'performance'] as const;
export type Occasion = (typeof OCCASIONS)[number];

export const REGISTERS = ['light', 'mixed', 'heavy', 'any'] as const;
export type Register = (typeof REGISTERS)[number];

/** Never sounded binds every sound; the other kinds are findings of the review. */
export const ZONE_KINDS = ['never-sounded', 'not-held', 'not-loud', 'not-heavy'] as const;
export type ZoneKind = (typeof ZONE_KINDS)[number];

/** A closed interval of pitches, MIDI. */
export interface PitchRange {
  readonly low: number;
  readonly high: number;
}

/** A dated range check: comfortable ends and, where asked for, the furthest possible notes. MIDI; ISO date. */
export interface MeasuredRange extends PitchRange {
  readonly reachLow?: number;
  readonly reachHigh?: number;
  readonly date: string;
}

/** What a student must not sing: never sounded binds every sound, the other kinds are findings of the review. */
export interface AvoidZone extends PitchRange {
  readonly kind: ZoneKind;
  /** Longest hold, only for `not-held`. */
  readonly seconds?: number;
}

/** A turnover of the registers, kept as two edges and the day it was found. */
export interface Bridge extends PitchRange {
  readonly date?: string;
}

/** The voice as the limits read it. All pitches MIDI. */
export interface Voice {
  readonly type: VoiceType;
  readonly age?: number;
  readonly changingStage?: ChangingStage;
  /** Where the registers turn over, lowest first. */
  readonly bridges?: readonly number[];
  readonly speakingNote?: number;
  readonly measured?: MeasuredRange;
  readonly hardFloor?: number;
  readonly hardCeiling?: number;
  readonly beltCeiling?: number;
  /** The teacher's own decision for a singer of sixteen or seventeen. */
  readonly gritAllowed?: boolean;
  /** Semitones kept inside both ends, 0–4. */
  readonly margin?: number;
  /** Stretches that are not sung, MIDI: zones never sounded, and gaps. One that holds an end of the range is that end. */
  readonly closed?: readonly PitchRange[];
}

/** The voice file a teacher keeps for a student. Days are ISO days. */
export interface VoiceFile extends Omit<Voice, 'bridges' | 'closed'> {
  /** The style of the lesson, which the limits go by. */
  readonly style: Style;
  readonly otherStyles?: readonly Style[];
  readonly goals: readonly string[];
  readonly bridges: readonly Bridge[];
  readonly avoid: readonly AvoidZone[];
  /** Missing notes inside the range. */
  readonly gaps?: readonly PitchRange[];
  /** What is missing and wanted, and the piece in hand, in the teacher's words. */
  readonly wanted?: string;
  readonly piece?: string;
  readonly cautions?: readonly Caution[];
  /** What stands in the way for good, such as no straw at home. */
  readonly obstacles?: readonly LastingObstacle[];
  /** A doctor's clearance: the day, no diagnosis. */
  readonly clearedOn?: string;
  /** Why the belt ceiling may lie above the usual: the day ease was shown there. */
  readonly beltEaseOn?: string;
  /** The day the teacher turned breath holds on again after dizziness. */
  readonly holdsOnSince?: string;
  /** A guardian's consent to keep recordings of a minor. */
  readonly consentOn?: string;
  /** Answers on which schools differ, over the studio's. */
  readonly approach?: Readonly<Record<string, string>>;
  /** Figures of the rule table, over the studio's. */
  readonly rules?: Readonly<Record<string, number>>;
}
