import { exerciseSchema, type Exercise } from '@soft-lark/core';
import { readStored, unreadable, type UnreadableDto } from '../common/index.ts';
import type { StoredExercise } from './own-exercise.entity.ts';

/** An exercise as the core reads it today; null where it cannot be read. */
export function readExerciseBody({ exercise }: StoredExercise): Exercise | null {
  return readStored(exerciseSchema, exercise);
}

/** What is to be said of an exercise that cannot be read; null where it can. */
export function unreadableExercise(id: string, { exercise }: StoredExercise): UnreadableDto | null {
  const name = (exercise as Partial<Exercise> | null)?.name;
  return unreadable({ id, name: typeof name === 'string' ? name : id }, exerciseSchema, exercise);
}
