import { z } from 'zod';
import { calendarDay, line, lines, midiNote, someOf, whole, type ReadonlyDeep } from '../fields.schema.ts';
import { CAUTIONS } from './cautions.data.ts';
import { LASTING_OBSTACLES } from './obstacles.data.ts';
import { CHANGING_STAGES, STYLES, VOICE_TYPES, ZONE_KINDS } from './voice-kinds.data.ts';

/** A closed interval of notes, MIDI. */
export const noteRangeSchema = z.strictObject({ low: midiNote, high: midiNote });

/** A dated range check: comfortable ends and, where asked for, the furthest possible notes. */
const measuredRange = noteRangeSchema.extend({
  reachLow: midiNote.exactOptional(),
  reachHigh: midiNote.exactOptional(),
  date: calendarDay,
});

/** What a student must not sing. */
const avoidZone = noteRangeSchema.extend({
  kind: z.enum(ZONE_KINDS),
  /** Longest hold, only for `not-held`. */
  seconds: z.number().min(0.1).max(60).exactOptional(),
});

/** A turnover of the registers, kept as two edges and the day it was found. */
const bridge = noteRangeSchema.extend({ date: calendarDay.exactOptional() });

/** The voice file a teacher keeps for a student; which approach and rules there are is for those to say. */
export const voiceFileSchema = z.strictObject({
  type: z.enum(VOICE_TYPES),
  age: whole(4, 120).exactOptional(),
  changingStage: z.enum(CHANGING_STAGES).exactOptional(),
  /** The style of the lesson, which the limits go by. */
  style: z.enum(STYLES),
  otherStyles: someOf(STYLES).exactOptional(),
  goals: z.array(z.string().min(1).max(120)).max(20),
  speakingNote: midiNote.exactOptional(),
  bridges: z.array(bridge).max(4),
  measured: measuredRange.exactOptional(),
  hardFloor: midiNote.exactOptional(),
  hardCeiling: midiNote.exactOptional(),
  beltCeiling: midiNote.exactOptional(),
  /** Semitones kept inside both ends. */
  margin: whole(0, 4).exactOptional(),
  avoid: z.array(avoidZone).max(12),
  /** The teacher's own decision for a singer of sixteen or seventeen. */
  gritAllowed: z.boolean().exactOptional(),
  /** Missing notes inside the range. */
  gaps: z.array(noteRangeSchema).max(12).exactOptional(),
  /** What is missing and wanted, and the piece in hand, in the teacher's words. */
  wanted: lines(400, 0).exactOptional(),
  piece: line(200, 0).exactOptional(),
  cautions: someOf(CAUTIONS).exactOptional(),
  /** What stands in the way for good, such as no straw at home. */
  obstacles: someOf(LASTING_OBSTACLES).exactOptional(),
  /** A doctor's clearance: the day, no diagnosis. */
  clearedOn: calendarDay.exactOptional(),
  /** Why the belt ceiling may lie above the usual: the day ease was shown there. */
  beltEaseOn: calendarDay.exactOptional(),
  /** The day the teacher turned breath holds on again after dizziness. */
  holdsOnSince: calendarDay.exactOptional(),
  /** A guardian's consent to keep recordings of a minor. */
  consentOn: calendarDay.exactOptional(),
  /** Answers on which schools differ, over the studio's. */
  approach: z.record(z.string(), z.string()).exactOptional(),
  /** Figures of the rule table, over the studio's. */
  rules: z.record(z.string(), z.number()).exactOptional(),
});

export type PitchRange = ReadonlyDeep<z.output<typeof noteRangeSchema>>;
export type MeasuredRange = ReadonlyDeep<z.output<typeof measuredRange>>;
export type AvoidZone = ReadonlyDeep<z.output<typeof avoidZone>>;
export type Bridge = ReadonlyDeep<z.output<typeof bridge>>;
/** Days are ISO days. */
export type VoiceFile = ReadonlyDeep<z.output<typeof voiceFileSchema>>;
