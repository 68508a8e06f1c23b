import { STAGES } from '../limits/index.ts';
import type { RoutineStep } from '../routine/index.ts';
import type { Exercise } from '../shelf/index.ts';

/** Where a new step belongs: after the last one of its stage or an earlier one. */
export function placeForStep(
  steps: readonly Pick<RoutineStep, 'exerciseId'>[],
  exerciseId: string,
  shelf: ReadonlyMap<string, Exercise>,
): number {
  const rank = (id: string): number => STAGES.indexOf(shelf.get(id)?.stage ?? 'settle');
  const before = steps.filter((step) => rank(step.exerciseId) <= rank(exerciseId)).at(-1);
  return before ? steps.lastIndexOf(before) + 1 : 0;
}
