import { isSung, layStep, sungBefore, type LaidStep, type StepSettings } from '../routine/index.ts';
import { patternOfWork } from '../shelf/index.ts';
import type { Fix, Reviewed } from './finding.types.ts';

/** The end of the step that a start of one’s own lies beyond, moved out to let it in. */
function opened({
  exercise,
  settings,
  problem,
}: LaidStep): { readonly said: Fix['said']; readonly set: StepSettings } | null {
  const { start } = settings;
  if (start === undefined || exercise.work.kind !== 'pattern') return null;
  const { low, high } = patternOfWork(exercise.work);
  if (problem?.code === 'START_BELOW_FLOOR')
    return { said: { code: 'fix.let-down', values: { note: { note: start + low } } }, set: { floor: start + low } };
  if (problem?.code === 'START_ABOVE_CEILING')
    return { said: { code: 'fix.let-up', values: { note: { note: start + high } } }, set: { ceiling: start + high } };
  return null;
}

/**
 * What lets a start in that a teacher set by hand: the end of the step moved to it, or a later place in the routine,
 * where the voice goes further. Each is offered only where it does.
 */
export function ownStartFixes(step: LaidStep, { steps, context }: Pick<Reviewed, 'steps' | 'context'>): readonly Fix[] {
  const way = opened(step);
  const written = context.exercises.get(step.exercise.id);
  if (!way || !written) return [];
  const { id, settings } = step;
  const isSungAfter = (sungSteps: number, set: StepSettings): boolean =>
    !layStep({ id, exerciseId: written.id, settings: { ...settings, ...set } }, written, context, sungSteps, 0).problem;
  const open: readonly Fix[] = isSungAfter(sungBefore(steps, id), way.set)
    ? [{ said: way.said, patch: { op: 'set', stepId: id, settings: way.set } }]
    : [];
  return [...open, ...later(step, { steps, context }, (sungSteps) => isSungAfter(sungSteps, {}))];
}

/** The first place further on in which a step can be sung as it is. */
function later(
  { id }: LaidStep,
  { steps, context }: Pick<Reviewed, 'steps' | 'context'>,
  isSungAfter: (sungSteps: number) => boolean,
): readonly Fix[] {
  const at = steps.findIndex((step) => step.id === id);
  const others = steps.filter((step) => step.id !== id);
  const next = others.find(
    (_, place) => place >= at && isSungAfter(others.slice(0, place + 1).filter((other) => isSung(other)).length),
  );
  const moved = context.steps.find((step) => step.id === id);
  if (!next || !moved) return [];
  const rest = context.steps.filter((step) => step.id !== id);
  const to = rest.findIndex((step) => step.id === next.id) + 1;
  return [
    {
      said: { code: 'fix.later', values: { name: next.exercise.name } },
      patch: { op: 'steps', steps: [...rest.slice(0, to), moved, ...rest.slice(to)] },
    },
  ];
}
