import { exerciseSchema, type Exercise, type WrittenExercise } from './exercise.schema.ts';
import { AGILITY_AND_TONE } from './exercises/agility-and-tone.data.ts';
import { BODY_AND_BREATH } from './exercises/body-and-breath.data.ts';
import { BODY_AND_QUICK_BREATH } from './exercises/body-and-quick-breath.data.ts';
import { MIDDLE } from './exercises/middle.data.ts';
import { OCCLUDED_GRADES } from './exercises/occluded-grades.data.ts';
import { RIFFS_AND_REGISTERS } from './exercises/riffs-and-registers.data.ts';
import { SCALES_AND_CHORDS } from './exercises/scales-and-chords.data.ts';
import { YOUNG_AND_COOL } from './exercises/young-and-cool.data.ts';
import { OCCLUDED } from './exercises/occluded.data.ts';
import { OCCLUDED_AND_COOL } from './exercises/occluded-and-cool.data.ts';
import { REGISTERS_AND_RANGE } from './exercises/registers-and-range.data.ts';
import { RELEASE } from './exercises/release.data.ts';
import { RESONANCE_AND_ONSET } from './exercises/resonance-and-onset.data.ts';
import { WIDE_AND_STYLED } from './exercises/wide-and-styled.data.ts';
import { WORDS_AND_STYLE } from './exercises/words-and-style.data.ts';

const WRITTEN: readonly WrittenExercise[] = [
  ...BODY_AND_BREATH,
  ...BODY_AND_QUICK_BREATH,
  ...OCCLUDED_AND_COOL,
  ...RELEASE,
  ...OCCLUDED,
  ...MIDDLE,
  ...RESONANCE_AND_ONSET,
  ...REGISTERS_AND_RANGE,
  ...WIDE_AND_STYLED,
  ...AGILITY_AND_TONE,
  ...WORDS_AND_STYLE,
  ...OCCLUDED_GRADES,
  ...SCALES_AND_CHORDS,
  ...RIFFS_AND_REGISTERS,
  ...YOUNG_AND_COOL,
];

/**
 * The exercises that ship, every field filled in.
 *
 * @throws ZodError where a data file does not fit the schema; the build checks it
 */
export function shippedExercises(): readonly Exercise[] {
  return WRITTEN.map((written) => exerciseSchema.parse(written));
}
