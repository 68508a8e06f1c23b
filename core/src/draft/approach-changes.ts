import { cuesOf, schoolCues, type Approach } from '../shelf/index.ts';
import { reviewRoutine, type Finding } from '../review/index.ts';
import { layRoutine, type LaidStep, type RoutineContext, type RoutineStep } from '../routine/index.ts';

/** What a change of approach does to one step. Times in seconds; keys counted, repeats too. */
export interface StepChange {
  readonly stepId: string;
  readonly name: string;
  readonly travel?: { readonly from: string; readonly to: string };
  readonly keys?: { readonly from: number; readonly to: number };
  readonly seconds?: { readonly from: number; readonly to: number };
  /** Cues that are said no more, and those that are said from now on. */
  readonly cuesGone: readonly string[];
  readonly cuesNew: readonly string[];
  /** It can be sung under one of the two only; the sentence says why. */
  readonly leftOut?: string;
  readonly isBack?: boolean;
}

/** What a change of approach does to a routine. */
export interface ApproachChange {
  readonly steps: readonly StepChange[];
  readonly findingsGone: readonly Finding[];
  readonly findingsNew: readonly Finding[];
}

function differs<T>(from: T, to: T): { readonly from: T; readonly to: T } | undefined {
  return from === to ? undefined : { from, to };
}

function changeOf(before: LaidStep, after: LaidStep, from: Approach, to: Approach): StepChange | null {
  const cues = (step: LaidStep, approach: Approach): readonly string[] =>
    step.settings.cue === undefined
      ? [...cuesOf(step.exercise, approach), ...schoolCues(step.exercise, approach)].map(({ text }) => text)
      : [];
  const [was, is] = [cues(before, from), cues(after, to)];
  const ladder = ({ laid }: LaidStep): { readonly travel: string; readonly keys: number } =>
    laid?.kind === 'pattern' ? { travel: laid.input.travel, keys: laid.ladder.rungs.length } : { travel: '', keys: 0 };
  const travel = differs(ladder(before).travel, ladder(after).travel);
  const keys = differs(ladder(before).keys, ladder(after).keys);
  const seconds = differs(Math.round(before.seconds), Math.round(after.seconds));
  const cuesGone = was.filter((text) => !is.includes(text));
  const cuesNew = is.filter((text) => !was.includes(text));
  const isOut = !before.problem && after.problem !== undefined;
  const isBack = before.problem !== undefined && !after.problem;
  if (!travel && !keys && !seconds && cuesGone.length + cuesNew.length === 0 && !isOut && !isBack) return null;
  return {
    stepId: before.id,
    name: before.exercise.name,
    cuesGone,
    cuesNew,
    ...(isOut && { leftOut: after.problem.message }),
    ...(isBack && { isBack }),
    ...(!isOut && !isBack && { ...(travel && { travel }), ...(keys && { keys }), ...(seconds && { seconds }) }),
  };
}

/**
 * What another approach would alter in a routine: keys, times and cues of its steps, and what the review has to say.
 *
 * @param context with the approach that holds now
 * @param to the whole approach that would hold instead
 */
export function approachChanges(
  routine: { readonly steps: readonly RoutineStep[]; readonly minutes: number },
  context: RoutineContext,
  to: Approach,
): ApproachChange {
  const { approach: from = {} } = context;
  const other = { ...context, approach: to };
  const [before, after] = [layRoutine(routine.steps, context), layRoutine(routine.steps, other)];
  const [was, is] = [
    reviewRoutine({ ...context, ...routine, laid: before }),
    reviewRoutine({ ...other, ...routine, laid: after }),
  ];
  const without = (list: readonly Finding[], others: readonly Finding[]): readonly Finding[] =>
    list.filter(({ id }) => !others.some((finding) => finding.id === id));
  return {
    steps: before.steps.flatMap((step, index) => {
      const next = after.steps[index];
      return (next && changeOf(step, next, from, to)) ?? [];
    }),
    findingsGone: without(was, is),
    findingsNew: without(is, was),
  };
}
