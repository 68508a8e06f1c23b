import { exerciseSchema, type Exercise, type WrittenExercise } from './exercise.schema.ts';
import { BODY_AND_BREATH } from './exercises/body-and-breath.data.ts';
import { MIDDLE } from './exercises/middle.data.ts';
import { OCCLUDED_AND_COOL } from './exercises/occluded-and-cool.data.ts';
import { WIDE_AND_STYLED } from './exercises/wide-and-styled.data.ts';

const WRITTEN: readonly WrittenExercise[] = [...BODY_AND_BREATH, ...OCCLUDED_AND_COOL, ...MIDDLE, ...WIDE_AND_STYLED];

/**
 * The exercises that ship, every field filled in.
 *
 * @throws ZodError where a data file does not fit the schema; the build checks it
 */
export function shippedExercises(): readonly Exercise[] {
  return WRITTEN.map((written) => exerciseSchema.parse(written));
}
