export { CAUTIONS, type Caution } from './cautions.data.ts';
export {
  BURDENS,
  CONDITIONS,
  conditionRow,
  dayIs,
  isRested,
  strongest,
  strongestName,
  toggledCondition,
} from './conditions.ts';
export { type Burden, type Condition, type ShorterDay } from './conditions.data.ts';
export { beltEvidence, type BeltEvidence, type BeltKey } from './belt-evidence.ts';
export { dayHints, type DayHint } from './day-hints.ts';
export { LASTING_OBSTACLES, OBSTACLES, type LastingObstacle, type Obstacle } from './obstacles.data.ts';
export { openRanges } from './closed-ends.ts';
export { daysAfter, daysBetween, mondayOf, weekdayOf } from './days.ts';
export { changeLikely, checkDueInDays, typesNear } from './range-checks.ts';
export { isAdultType, isYoungVoice, referenceNameOf, referenceOf } from './reference.ts';
export { stageThatFits } from './stage-that-fits.ts';
export { checkVoiceFile, neverSounded, voiceOf } from './voice-file.ts';
export {
  BELT_CEILINGS,
  REFERENCE_RANGES,
  type AdultType,
  type ReferenceName,
  type ReferenceRange,
  type ReferenceTable,
} from './reference-ranges.data.ts';
export {
  CHANGING_STAGES,
  OCCASIONS,
  REGISTERS,
  STYLES,
  VOICE_TYPES,
  ZONE_KINDS,
  type ChangingStage,
  type Occasion,
  type Register,
  type Style,
  type VoiceType,
  type ZoneKind,
} from './voice-kinds.data.ts';
export {
  noteRangeSchema,
  voiceFileSchema,
  type AvoidZone,
  type Bridge,
  type MeasuredRange,
  type PitchRange,
  type VoiceFile,
} from './voice-file.schema.ts';
export type { Voice } from './voice.types.ts';
