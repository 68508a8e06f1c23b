import { cuesOf, schoolCues, type Approach } from '../shelf/index.ts';
import { reviewRoutine, type Finding } from '../review/index.ts';
import { layRoutine, type LaidStep, type RoutineContext, type RoutineStep } from '../routine/index.ts';

/** What a teacher settles for a studio or a student, and every figure follows. */
export type Answers = Required<Pick<RoutineContext, 'approach' | 'rules'>>;

/** What other answers do to one step. Times in seconds; keys counted, repeats too; tops as notes. */
export interface StepChange {
  readonly stepId: string;
  readonly name: string;
  readonly travel?: { readonly from: string; readonly to: string };
  readonly keys?: { readonly from: number; readonly to: number };
  readonly top?: { readonly from: number; readonly to: number };
  readonly seconds?: { readonly from: number; readonly to: number };
  /** Cues that are said no more, and those that are said from now on. */
  readonly cuesGone: readonly string[];
  readonly cuesNew: readonly string[];
  /** It can be sung under one of the two only; the sentence says why. */
  readonly isOut?: boolean;
  readonly isBack?: boolean;
}

/** What other answers do to a routine. */
export interface AnswerChange {
  readonly steps: readonly StepChange[];
  readonly findingsGone: readonly Finding[];
  readonly findingsNew: readonly Finding[];
}

function isNote(note: number | null): note is number {
  return note !== null;
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
  const top = differs(before.highest, after.highest);
  const cuesGone = was.filter((text) => !is.includes(text));
  const cuesNew = is.filter((text) => !was.includes(text));
  const isOut = !before.problem && after.problem !== undefined;
  const isBack = before.problem !== undefined && !after.problem;
  if (!travel && !keys && !top && !seconds && cuesGone.length + cuesNew.length === 0 && !isOut && !isBack) return null;
  return {
    stepId: before.id,
    name: before.exercise.name,
    cuesGone,
    cuesNew,
    ...(isOut && { isOut }),
    ...(isBack && { isBack }),
    ...(!isOut &&
      !isBack && {
        ...(travel && { travel }),
        ...(keys && { keys }),
        ...(top && isNote(top.from) && isNote(top.to) && { top: { from: top.from, to: top.to } }),
        ...(seconds && { seconds }),
      }),
  };
}

/**
 * What other answers would alter in a routine: keys, tops, times and cues of its steps, and what the review has to say.
 *
 * @param context with the approach and the rule table that hold now
 * @param to those that would hold instead, whole
 */
export function answerChanges(
  routine: { readonly steps: readonly RoutineStep[]; readonly minutes: number },
  context: RoutineContext,
  to: Answers,
): AnswerChange {
  const { approach: from = {} } = context;
  const other = { ...context, ...to };
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
      return (next && changeOf(step, next, from, to.approach)) ?? [];
    }),
    findingsGone: without(was, is),
    findingsNew: without(is, was),
  };
}
