import type { Exercise } from '../shelf/index.ts';
import type { RoutineStep } from '../routine/index.ts';
import { forAnyVoice } from './copy-routine.ts';
import type { RecipePart } from './recipes.data.ts';

/** Steps as a template keeps them: without what was set for one voice. */
export function templateSteps(steps: readonly RoutineStep[], newId: () => string): readonly RoutineStep[] {
  return steps.map(({ exerciseId, settings, block }) => ({
    id: newId(),
    exerciseId,
    settings: forAnyVoice(settings),
    ...(block !== undefined && { block }),
  }));
}

/**
 * Steps as the places of a recipe: for each its stage, what it serves and what it asks at most. Pinned steps, the only
 * occluded one and the cool-down are kept when time is short.
 */
export function recipeParts(
  steps: readonly RoutineStep[],
  exercises: ReadonlyMap<string, Exercise>,
): readonly Required<Pick<RecipePart, 'stage' | 'goals' | 'mostLoad' | 'keep'>>[] {
  const found = steps.flatMap(({ exerciseId, locked = false }) => {
    const exercise = exercises.get(exerciseId);
    return exercise ? [{ exercise, locked }] : [];
  });
  const occluded = found.filter(({ exercise }) => exercise.stage === 'occluded').length;
  return found.map(({ exercise: { stage, goals, load }, locked }) => ({
    stage,
    goals,
    mostLoad: load,
    keep: locked || stage === 'cool' || (stage === 'occluded' && occluded === 1),
  }));
}
