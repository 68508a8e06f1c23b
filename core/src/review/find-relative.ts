import { relativeThatFits, type Exercise } from '../shelf/index.ts';
import { isSingable, layStep, sungBefore, type LaidStep } from '../routine/index.ts';
import type { Fix, ReviewContext } from './finding.types.ts';

/** Puts the nearest relative that can be sung in a step’s place. */
export function swapFix(
  { id: stepId, exercise }: Pick<LaidStep, 'id' | 'exercise'>,
  steps: readonly LaidStep[],
  context: ReviewContext,
): readonly Fix[] {
  const sungSteps = sungBefore(steps, stepId);
  const other = relativeThatFits(
    exercise,
    context.exercises,
    (one) => !one.optIn && one.load <= exercise.load && isSingable(one, context, sungSteps),
  );
  return other
    ? [
        {
          said: { code: 'fix.take-instead', values: { name: other.name } },
          patch: { op: 'swap', stepId, exerciseId: other.id },
        },
      ]
    : [];
}

export function removeFix(stepId: string): Fix {
  return { said: { code: 'fix.leave-out' }, patch: { op: 'remove', stepId } };
}

export function addFix({ id, name }: Exercise, at: number): Fix {
  return { said: { code: 'fix.add', values: { name } }, patch: { op: 'add', exerciseId: id, at } };
}

/**
 * The first exercise of the shelf that answers a wish and can be sung there; known ones first.
 *
 * @param mostSeconds no longer than this, as it is written
 */
export function exerciseFor(
  context: ReviewContext,
  sungSteps: number,
  wish: (exercise: Exercise) => boolean,
  mostSeconds = Infinity,
): Exercise | null {
  const here = new Set(context.steps.map(({ exerciseId }) => exerciseId));
  const ranked = [...context.exercises.values()]
    .filter((exercise) => !exercise.optIn && !exercise.grit && !here.has(exercise.id) && wish(exercise))
    .sort((a, b) => Number(context.known.has(b.id)) - Number(context.known.has(a.id)) || a.load - b.load);
  const fits = (exercise: Exercise): boolean => {
    const step = { id: '', exerciseId: exercise.id, settings: {} };
    const { problem, seconds } = layStep(step, exercise, context, sungSteps, 0);
    return !problem && seconds <= mostSeconds;
  };
  return ranked.find(fits) ?? null;
}

/** Where a step belongs that is added before the cool-down, or at the end where there is none. */
export function placeBeforeCoolDown({ steps, exercises }: ReviewContext): number {
  const cool = steps.findIndex(({ exerciseId }) => exercises.get(exerciseId)?.stage === 'cool');
  return cool < 0 ? steps.length : cool;
}
