import { exerciseSchema, type Exercise } from '@soft-lark/core';
import { readStored, unreadable, type StoredKind, type UnreadableDto } from '../common/index.ts';
import type { StoredExercise } from './own-exercise.entity.ts';

const EXERCISES: StoredKind<Exercise> = { what: 'exercise', schema: exerciseSchema };

/** An exercise as the core reads it today; null where it cannot be read. */
export function readExerciseBody({ schema, exercise }: StoredExercise): Exercise | null {
  return readStored(EXERCISES, { schema, value: exercise });
}

/** What is to be said of an exercise that cannot be read; null where it can. */
export function unreadableExercise(id: string, { schema, exercise }: StoredExercise): UnreadableDto | null {
  const name = (exercise as Partial<Exercise> | null)?.name;
  return unreadable({ id, name: typeof name === 'string' ? name : id }, EXERCISES, { schema, value: exercise });
}
