import { exerciseSchema, type Exercise } from '@soft-lark/core';
import type { StoredExercise } from './own-exercise.entity.ts';

/** An exercise as the core reads it today; fields that came later take their usual value. */
export function readExerciseBody({ exercise }: StoredExercise): Exercise {
  return exerciseSchema.parse(exercise);
}
