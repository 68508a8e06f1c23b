import type { Exercise } from '../shelf/index.ts';
import { isSung, layRoutine, type RoutineContext, type RoutineStep } from '../routine/index.ts';
import { fitToBudget } from './fit-to-budget.ts';
import { optionsOf, withoutLength, type StepOption, type StepShape } from './step-options.ts';

/** A routine fitted to its minutes. */
export interface FittedRoutine {
  readonly steps: readonly RoutineStep[];
  readonly seconds: number;
  /** Whether every step found room. */
  readonly feasible: boolean;
  /** Steps that had to go, in the order they went. */
  readonly dropped: readonly string[];
  /** Seconds that even the least is over, before anything was dropped. */
  readonly overBy?: number;
}

/** What a fit may take away and what it may not. */
export interface FitWishes {
  /** Steps that stay whatever happens, besides those that are locked. */
  readonly keep?: ReadonlySet<string>;
  /** What each step is worth; left out all are worth the same. */
  readonly worth?: ReadonlyMap<string, number>;
  /** Drops steps until the rest fits; else the least of all stays and is said to be too long. */
  readonly mayDrop?: boolean;
  /** What a draft asks of the length of a step. */
  readonly shapeOf?: (exercise: Exercise) => StepShape;
  /** No step becomes longer than it is. */
  readonly neverLonger?: boolean;
}

const PLAIN_WORTH = 10;

/** Steps of which a warm-up has to have one: while it is the only one of its stage, it is kept. */
function onlyOnes(steps: readonly RoutineStep[], { exercises }: RoutineContext): ReadonlySet<string> {
  const ofStage = (stage: string): readonly RoutineStep[] =>
    steps.filter(({ exerciseId }) => exercises.get(exerciseId)?.stage === stage);
  const kept = [ofStage('occluded'), ofStage('cool')].flatMap((list) => (list.length === 1 ? list : []));
  return new Set(kept.map(({ id }) => id));
}

/** What of a routine can be sung today, in fewer minutes than it has; no step becomes longer. */
export function shortenedForToday(
  steps: readonly RoutineStep[],
  minutes: number,
  context: RoutineContext,
): readonly RoutineStep[] {
  const left = new Set(layRoutine(steps, context).steps.flatMap(({ id, problem }) => (problem ? [] : [id])));
  const today = steps.filter(({ id }) => left.has(id));
  return fitRoutine(today, minutes * 60, context, { mayDrop: true, neverLonger: true }).steps;
}

/** Seconds that steps could be longer than they are set to be. */
export function secondsToGive(steps: readonly RoutineStep[], context: RoutineContext): number {
  const whole = steps.map((step) => (step.locked ? step : { ...step, settings: withoutLength(step.settings) }));
  return layRoutine(whole, context).seconds - layRoutine(steps, context).seconds;
}

function fitOnce(
  steps: readonly RoutineStep[],
  budgetSeconds: number,
  context: RoutineContext,
  { keep = new Set(), worth = new Map(), neverLonger = false, shapeOf }: FitWishes,
  isTight: boolean,
): { readonly fitted: readonly RoutineStep[]; readonly fit: ReturnType<typeof fitToBudget> } {
  const only = onlyOnes(steps, context);
  const here = new Map(steps.map((step) => [step.id, step]));
  const options = new Map<string, readonly StepOption[]>();
  let sungSteps = 0;
  for (const laid of layRoutine(steps, context).steps) {
    const { id, exercise, settings, seconds } = laid;
    const step = here.get(id);
    if (!step) continue;
    const weight = worth.get(id) ?? PLAIN_WORTH;
    const found = step.locked
      ? []
      : optionsOf(step, exercise, context, sungSteps, weight, isTight, shapeOf?.(exercise));
    const short = neverLonger ? found.filter((option) => option.seconds <= seconds) : found;
    options.set(id, short.length > 0 ? short : [{ settings, seconds, worth: weight }]);
    if (isSung(laid)) sungSteps += 1;
  }
  const fitSteps = [...options].map(([id, list]) => ({
    id,
    options: list,
    keep: keep.has(id) || only.has(id) || (here.get(id)?.locked ?? false),
  }));
  const fit = fitToBudget(fitSteps, budgetSeconds);
  const fitted = steps.map((step) => {
    const choice = fit.chosen[step.id];
    const chosen = choice === undefined ? undefined : options.get(step.id)?.[choice];
    return chosen ? { ...step, settings: chosen.settings } : step;
  });
  return { fitted, fit };
}

/**
 * Fits a routine to its minutes: keys, passes, cycles and seconds of every step that is not locked, so that what is left
 * is worth most. Where even the least is too long, steps are dropped, those worth least for their time first; locked
 * steps, the only occluded step and the cool-down never are.
 *
 * @param budgetSeconds nought or more
 */
export function fitRoutine(
  steps: readonly RoutineStep[],
  budgetSeconds: number,
  context: RoutineContext,
  wishes: FitWishes = {},
): FittedRoutine {
  const dropped: string[] = [];
  let rest = steps;
  let overBy: number | undefined;
  let isTight = false;
  for (;;) {
    const { fitted, fit } = fitOnce(rest, budgetSeconds, context, wishes, isTight);
    overBy ??= fit.overBy;
    const gone = fit.dropFirst?.[0];
    if (!fit.feasible && gone === undefined && wishes.mayDrop && !isTight) {
      isTight = true;
      continue;
    }
    if (fit.feasible || gone === undefined || !wishes.mayDrop)
      return {
        steps: fitted,
        seconds: fit.seconds,
        feasible: fit.feasible,
        dropped,
        ...(overBy !== undefined && { overBy }),
      };
    dropped.push(gone);
    rest = rest.filter(({ id }) => id !== gone);
  }
}

/** A routine made to fill so many seconds; what is too long is shortened, and no step of it becomes longer. */
export function fittedSteps(
  steps: readonly RoutineStep[],
  budgetSeconds: number,
  context: RoutineContext,
): readonly RoutineStep[] {
  const neverLonger = layRoutine(steps, context).seconds > budgetSeconds;
  return fitRoutine(steps, budgetSeconds, context, { mayDrop: true, neverLonger }).steps;
}

/** Whether a routine can be shortened to so many seconds: what is locked, and the only one of its stage, stays. */
export function canFit(steps: readonly RoutineStep[], budgetSeconds: number, context: RoutineContext): boolean {
  return fitRoutine(steps, budgetSeconds, context, { mayDrop: true, neverLonger: true }).feasible;
}
