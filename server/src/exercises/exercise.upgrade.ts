import { exerciseSchema, issueSentence, type Exercise } from '@soft-lark/core';
import type { UnreadableDto } from '../common/index.ts';
import type { StoredExercise } from './own-exercise.entity.ts';

/** An exercise as the core reads it today, fields that came later at their usual value; null where it cannot be read. */
export function readExerciseBody({ exercise }: StoredExercise): Exercise | null {
  const read = exerciseSchema.safeParse(exercise);
  return read.success ? read.data : null;
}

/** What is to be said of an exercise that cannot be read; null where it can. */
export function unreadableExercise(id: string, { exercise }: StoredExercise): UnreadableDto | null {
  const read = exerciseSchema.safeParse(exercise);
  if (read.success) return null;
  const { name } = exercise as Partial<Exercise>;
  return { id, name: typeof name === 'string' ? name : id, reason: issueSentence(read.error) };
}
