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
  /** Keys outward the voice has for it at most; null where it is no ladder. */
  readonly keys: number | null;
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

/** What a draft asks of the length of a step. */
export interface StepShape {
  /** Keys outward, at least, besides what the exercise wants. */
  readonly leastKeys: number;
  /** No step of a draft fills it alone. */
  readonly mostSeconds: number;
  /** Ladders of so few keys may be sung twice in each. */
  readonly twiceUpToKeys: number;
}

/** House choice: twice in each key, or a glide twice as often as usual, is as far as a draft goes. */
const TWICE = 2;

function keyChoices(laid: LaidStep, isTight: boolean, shape?: StepShape): readonly StepSettings[] {
  const { work } = laid.exercise;
  if (work.kind !== 'pattern' || laid.laid?.kind !== 'pattern') return [];
  const outward = outwardKeys(laid);
  const fewest = isTight ? Math.min(1, outward) : Math.min(Math.max(shape?.leastKeys ?? 0, work.fewestKeys), outward);
  const count = outward - fewest + 1;
  const every = Math.max(1, Math.ceil(count / MOST_CHOICES));
  return Array.from({ length: count }, (_, index) => fewest + index)
    .filter((keys) => (outward - keys) % every === 0 || keys === fewest)
    .map((maxKeys): StepSettings => (maxKeys === outward ? {} : { maxKeys }))
    .concat(shape && outward <= shape.twiceUpToKeys && work.timesPerKey === 1 ? [{ timesPerKey: TWICE }] : []);
}

function repeatChoices(usual: number, isTight: boolean, most = usual): readonly StepSettings[] {
  const fewest = isTight ? 1 : Math.min(usual, FEWEST_REPEATS);
  return Array.from({ length: most - fewest + 1 }, (_, index) => {
    const repeats = fewest + index;
    return repeats === usual ? {} : { repeats };
  });
}

/** Lengths to choose from, the shortest first; at its full length nothing is set, so that it goes on growing with the voice. */
function choicesOf(laid: LaidStep, isTight: boolean, shape?: StepShape): readonly StepSettings[] {
  const { work } = laid.exercise;
  switch (work.kind) {
    case 'pattern':
      return keyChoices(laid, isTight, shape);
    case 'siren':
      return repeatChoices(work.repeats, isTight, shape ? work.repeats * TWICE : work.repeats);
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
 * @param shape what a draft asks for; left out, lengths are those of the exercise alone
 * @returns one option where nothing can be cut, none where it cannot be done today
 */
export function optionsOf(
  step: RoutineStep,
  exercise: Exercise,
  context: RoutineContext,
  sungSteps: number,
  weight: number,
  isTight = false,
  shape?: StepShape,
): readonly StepOption[] {
  const free: RoutineStep = { ...step, settings: withoutLength(step.settings) };
  const whole = layStep(free, exercise, context, sungSteps, 0);
  if (whole.problem) return [];
  const choices = choicesOf(whole, isTight, shape);
  const wanted = exercise.work.kind === 'pattern' ? Math.max(shape?.leastKeys ?? 0, exercise.work.fewestKeys) : 0;
  const isNarrow = outwardKeys(whole) < wanted;
  const keys = whole.laid?.kind === 'pattern' ? outwardKeys(whole) : null;
  const laid = choices.flatMap((choice): readonly StepOption[] => {
    const settings = { ...free.settings, ...choice };
    const { seconds, problem } = layStep({ ...step, settings }, exercise, context, sungSteps, 0);
    // With fewer keys a zone may strike every one that is left.
    return problem ? [] : [{ settings, seconds, worth: 0, isNarrow, keys }];
  });
  const [shortest] = laid;
  const within = shape ? laid.filter((option) => option === shortest || option.seconds <= shape.mostSeconds) : laid;
  const options =
    within.length > 0 ? within : [{ settings: free.settings, seconds: whole.seconds, worth: 0, isNarrow, keys }];
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
