import type { Exercise } from '@soft-lark/core';
import { v7 } from 'uuid';
import { dataOf, api } from '../../api/client.ts';
import { changeRoutine, type Routine } from '../../api/routines.queries.ts';
import { keepExercise, type ShelfExercise } from '../../api/shelf.queries.ts';

/** Whom a changed exercise is for. */
export type KeptFor =
  | { readonly kind: 'shelf' }
  | { readonly kind: 'student'; readonly studentId: string }
  | { readonly kind: 'routine'; readonly routineId: string };

/** A copy under an id of its own that remembers where it came from. */
function copyOf(exercise: Exercise, origin: string): Exercise {
  return { ...exercise, id: v7(), copyOf: exercise.copyOf ?? origin };
}

/** Puts one exercise in the place of another wherever a routine has it. */
async function swapIn(routine: Routine, before: string, after: string): Promise<void> {
  if (!routine.steps.some(({ exerciseId }) => exerciseId === before)) return;
  const { name, kind, minutes, version } = routine;
  const steps = routine.steps.map((step) => (step.exerciseId === before ? { ...step, exerciseId: after } : step));
  await changeRoutine(routine.id, { name, kind, minutes, version, steps });
}

/**
 * Keeps a changed exercise: on the shelf, for one student in all their routines, or in one routine alone. What ships is
 * never written over; a copy of it is kept.
 *
 * @param over the version to write over, where the teacher has decided so
 * @throws ApiProblem `STALE_WRITE` where another window was faster
 */
export async function keepFor(
  target: KeptFor,
  exercise: Exercise,
  stored: ShelfExercise | null,
  over?: number,
): Promise<ShelfExercise> {
  if (stored === null) return keepExercise(exercise, 0);
  if (target.kind === 'shelf')
    return stored.own
      ? keepExercise(exercise, over ?? stored.own.version)
      : keepExercise(copyOf(exercise, stored.id), 0);
  const routines = await routinesFor(target);
  const [first] = routines;
  const studentId = target.kind === 'student' ? target.studentId : first?.studentId;
  const kept = await keepExercise(copyOf(exercise, stored.id), 0, studentId);
  for (const routine of routines) await swapIn(routine, stored.id, kept.id);
  return kept;
}

async function routinesFor(target: Exclude<KeptFor, { kind: 'shelf' }>): Promise<readonly Routine[]> {
  if (target.kind === 'routine')
    return [await dataOf(api.GET('/api/routines/{routineId}', { params: { path: { routineId: target.routineId } } }))];
  return dataOf(api.GET('/api/routines', { params: { query: { studentId: target.studentId } } }));
}
