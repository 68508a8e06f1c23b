import {
  ADULT_RANGES,
  CHANGING_RANGES,
  CHANGING_STAGE_UNKNOWN,
  TREBLE_AGE_UNKNOWN,
  TREBLE_RANGES,
  type AdultType,
  type ReferenceRange,
} from './reference-ranges.data.ts';
import type { Voice, VoiceType } from './voice.types.ts';

const ADULT_AGE = 18;

/** Every type but treble and changing. */
export function isAdultType(type: VoiceType): type is AdultType {
  return Object.hasOwn(ADULT_RANGES, type);
}

/**
 * The reference row of a voice: the starting point before anything was measured.
 *
 * @example referenceOf({ type: 'tenor' }).comfortable // { low: 50, high: 65 }
 */
export function referenceOf(voice: Pick<Voice, 'type' | 'age' | 'changingStage'>): ReferenceRange {
  if (isAdultType(voice.type)) return ADULT_RANGES[voice.type];
  if (voice.type === 'changing') return CHANGING_RANGES[voice.changingStage ?? CHANGING_STAGE_UNKNOWN];
  const age = voice.age ?? TREBLE_AGE_UNKNOWN;
  const row = TREBLE_RANGES.find(({ toAge }) => age <= toAge);
  if (!row) throw new RangeError('The treble table has no last row.');
  return row;
}

/** A treble, a changing voice, or anyone whose age is given as under eighteen. */
export function isYoungVoice(voice: Pick<Voice, 'type' | 'age'>): boolean {
  return !isAdultType(voice.type) || (voice.age !== undefined && voice.age < ADULT_AGE);
}
