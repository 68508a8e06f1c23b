import { layRoutine, type Condition, type Exercise, type LaidRoutine } from '@soft-lark/core';
import type { Routine } from './routines.queries.ts';
import type { Student } from './students.queries.ts';

/** A routine worked out for a student in today's condition. */
export function layFor(
  routine: Pick<Routine, 'steps' | 'occasion'>,
  student: Pick<Student, 'voice' | 'known'>,
  conditions: readonly Condition[],
  exercises: ReadonlyMap<string, Exercise>,
  now: Date,
): LaidRoutine {
  return layRoutine(routine.steps, {
    voice: student.voice,
    conditions,
    occasion: routine.occasion,
    exercises,
    known: new Set(student.known),
    now: now.toISOString(),
  });
}
