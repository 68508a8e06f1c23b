import {
  BELT_CEILINGS,
  CHANGING_STAGE_UNKNOWN,
  REFERENCE_RANGES,
  TREBLE_AGE_UNKNOWN,
  TREBLES,
  type AdultType,
  type ReferenceName,
  type ReferenceRange,
  type ReferenceTable,
} from './reference-ranges.data.ts';
import type { VoiceType } from './voice-kinds.data.ts';
import type { Voice } from './voice.types.ts';

const ADULT_AGE = 18;

/** Every type but treble and changing. */
export function isAdultType(type: VoiceType): type is AdultType {
  return Object.hasOwn(BELT_CEILINGS, type);
}

type Singer = Pick<Voice, 'type' | 'age' | 'changingStage'>;

/** The row of the reference table a voice starts from. */
export function referenceNameOf({ type, age = TREBLE_AGE_UNKNOWN, changingStage }: Singer): ReferenceName {
  if (isAdultType(type)) return type;
  if (type === 'changing') return changingStage ?? CHANGING_STAGE_UNKNOWN;
  return TREBLES.find(({ toAge }) => age <= toAge)?.name ?? 'treble to 12';
}

/**
 * The reference row of a voice: the starting point before anything was measured.
 *
 * @param table the usual reference, or a teacher's
 * @example referenceOf({ type: 'tenor' }).comfortable // { low: 50, high: 65 }
 */
export function referenceOf(voice: Singer, table: ReferenceTable = REFERENCE_RANGES): ReferenceRange {
  return table[referenceNameOf(voice)];
}

/** A treble, a changing voice, or anyone whose age is given as under eighteen. */
export function isYoungVoice(voice: Pick<Voice, 'type' | 'age'>): boolean {
  return !isAdultType(voice.type) || (voice.age !== undefined && voice.age < ADULT_AGE);
}
