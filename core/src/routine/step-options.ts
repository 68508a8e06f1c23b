import type { Exercise } from '../shelf/index.ts';
import { keysOf } from './key-ways.ts';
import { layStep } from './lay-step.ts';
import type { LaidStep, RoutineContext, RoutineStep, StepSettings } from './routine.types.ts';

/** One length a step can have: what is set for it, its seconds with set-up, and what it is worth. */
export interface StepOption {
  readonly settings: StepSettings;
  readonly seconds: number;
  readonly worth: number;
  /** The voice has fewer keys for it today than the exercise wants. */
  readonly isNarrow: boolean;
}

/** House choice: shares of the usual length that a step without keys may be cut down to. */
const SHORTER_SHARES = [0.5, 0.75, 1];
/** House choice: most choices of keys a step is laid out for. */
const MOST_CHOICES = 16;
const FEWEST_REPEATS = 2;

/** Each key more is worth a little less than the one before. */
function worthOf(share: number, weight: number): number {
  return weight * Math.sqrt(share);
}

/** Keys of a step before its way home; nought where it has none. */
export function outwardKeys({ laid }: Pick<LaidStep, 'laid'>): number {
  return laid?.kind === 'pattern' ? keysOf(laid.ladder.rungs).filter(({ leg }) => leg !== 'home').length : 0;
}

function keyChoices(laid: LaidStep, isTight: boolean): readonly StepSettings[] {
  const { work } = laid.exercise;
  if (work.kind !== 'pattern' || laid.laid?.kind !== 'pattern') return [];
  const outward = outwardKeys(laid);
  const fewest = isTight ? Math.min(1, outward) : Math.min(work.fewestKeys, outward);
  const count = outward - fewest + 1;
  const every = Math.max(1, Math.ceil(count / MOST_CHOICES));
  return Array.from({ length: count }, (_, index) => fewest + index)
    .filter((keys) => (outward - keys) % every === 0 || keys === fewest)
    .map((maxKeys) => (maxKeys === outward ? {} : { maxKeys }));
}

function repeatChoices(usual: number, isTight: boolean): readonly StepSettings[] {
  const fewest = isTight ? 1 : Math.min(usual, FEWEST_REPEATS);
  return Array.from({ length: usual - fewest + 1 }, (_, index) => {
    const repeats = fewest + index;
    return repeats === usual ? {} : { repeats };
  });
}

/** Lengths to choose from, the shortest first; at its full length nothing is set, so that it goes on growing with the voice. */
function choicesOf(laid: LaidStep, isTight: boolean): readonly StepSettings[] {
  const { work } = laid.exercise;
  switch (work.kind) {
    case 'pattern':
      return keyChoices(laid, isTight);
    case 'siren':
    case 'spoken':
      return repeatChoices(work.repeats, isTight);
    case 'breath':
      return repeatChoices(work.counts?.cycles ?? work.bursts?.repeats ?? 1, isTight);
    case 'timed':
      return SHORTER_SHARES.map((share) =>
        share === 1 ? {} : { seconds: Math.max(5, Math.round(work.seconds * share)) },
      );
  }
}

/**
 * Every length a step can have for this voice today, the shortest first.
 *
 * @param sungSteps patterns and sirens before it
 * @param weight what the whole step is worth
 * @param isTight goes below the fewest keys and repeats an exercise wants, where there is no other way
 * @returns one option where nothing can be cut, none where it cannot be done today
 */
export function optionsOf(
  step: RoutineStep,
  exercise: Exercise,
  context: RoutineContext,
  sungSteps: number,
  weight: number,
  isTight = false,
): readonly StepOption[] {
  const free: RoutineStep = { ...step, settings: withoutLength(step.settings) };
  const whole = layStep(free, exercise, context, sungSteps, 0);
  if (whole.problem) return [];
  const choices = choicesOf(whole, isTight);
  const isNarrow = outwardKeys(whole) < (exercise.work.kind === 'pattern' ? exercise.work.fewestKeys : 0);
  const laid = choices.flatMap((choice): readonly StepOption[] => {
    const settings = { ...free.settings, ...choice };
    const { seconds, problem } = layStep({ ...step, settings }, exercise, context, sungSteps, 0);
    // With fewer keys a zone may strike every one that is left.
    return problem ? [] : [{ settings, seconds, worth: 0, isNarrow }];
  });
  const options = laid.length > 0 ? laid : [{ settings: free.settings, seconds: whole.seconds, worth: 0, isNarrow }];
  const longest = Math.max(...options.map(({ seconds }) => seconds - whole.setUpSeconds), 1);
  return options.map((option) => ({
    ...option,
    worth: worthOf((option.seconds - whole.setUpSeconds) / longest, weight),
  }));
}

const LENGTHS: ReadonlySet<string> = new Set(['maxKeys', 'repeats', 'seconds']);

/** A step's settings without what says how long it lasts. */
function withoutLength(settings: StepSettings): StepSettings {
  return Object.fromEntries(Object.entries(settings).filter(([name]) => !LENGTHS.has(name)));
}
