import type { Exercise } from '../shelf/index.ts';
import {
  keysOf,
  layStep,
  LEAST_SECONDS,
  repeatsOf,
  type LaidLadder,
  type LaidStep,
  type RoutineContext,
  type RoutineStep,
  type StepSettings,
} from '../routine/index.ts';

/** One length a step can have: what is set for it, its seconds with set-up, and what it is worth. */
export interface StepOption {
  readonly settings: StepSettings;
  readonly seconds: number;
  readonly worth: number;
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
  /** No length is under this share of the longest. */
  readonly leastShare?: number;
  /** Ladders of so few keys may be sung twice in each. */
  readonly twiceUpToKeys: number;
}

/** House choice: twice in each key, or a glide twice as often as usual, is as far as a draft goes. */
const TWICE = 2;

/** House choice: a ladder is offered whole, and thinned to these shares of its seconds. */
const THINNED_SHARES = [0.3, 0.36, 0.42, 0.5, 0.58, 0.66, 0.75, 0.85];

const TWICE_SHARES = [0.55, 0.7, 0.85];

/** Fewer keys by so many of the first, where the settings are cut off rather than thinned. */
function cutChoices(outward: number, fewest: number): readonly StepSettings[] {
  const every = Math.max(1, Math.ceil((outward - fewest + 1) / MOST_CHOICES));
  return Array.from({ length: outward - fewest }, (_, index) => fewest + index)
    .filter((keys) => (outward - keys) % every === 0 || keys === fewest)
    .map((maxKeys) => ({ maxKeys }));
}

/** A falling ladder of the cool-down loses its highest keys, so that it stays low and quiet. */
function lowerStarts({ rungs }: LaidLadder['ladder'], fewest: number): readonly StepSettings[] {
  const outward = [...new Set(rungs.filter(({ leg }) => leg !== 'home').map(({ tonic }) => tonic))];
  return outward
    .slice(1, Math.max(1, outward.length - fewest + 1))
    .map((start) => ({ start }))
    .reverse();
}

function keyChoices(laid: LaidStep, isTight: boolean, shape?: StepShape): readonly StepSettings[] {
  const { work, stage } = laid.exercise;
  if (work.kind !== 'pattern' || laid.laid?.kind !== 'pattern') return [];
  const outward = outwardKeys(laid);
  const fewest = isTight ? Math.min(1, outward) : Math.min(Math.max(shape?.leastKeys ?? 0, work.fewestKeys), outward);
  const { ladder, input } = laid.laid;
  const isFallingHome = stage === 'cool' && input.travel === 'fall';
  const within = (share: number): StepSettings => ({
    withinSeconds: Math.max(LEAST_SECONDS, Math.ceil(share * ladder.seconds)),
  });
  const thinned = THINNED_SHARES.map(within);
  const fewer = isFallingHome ? lowerStarts(ladder, fewest) : thinned;
  const isTwice = shape !== undefined && outward <= shape.twiceUpToKeys && work.timesPerKey === 1;
  const twice = !isTwice
    ? []
    : [...TWICE_SHARES.map((share) => within(share * TWICE)), {}].map((length) => ({ ...length, timesPerKey: TWICE }));
  return [...(isTight ? cutChoices(outward, fewest) : []), ...fewer, {}, ...twice];
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
      return repeatChoices(work.repeats, isTight, shape ? work.repeats * TWICE : work.repeats);
    case 'breath':
      return repeatChoices(repeatsOf(work) ?? 1, isTight);
    case 'timed':
      return SHORTER_SHARES.map((share) =>
        share === 1 ? {} : { seconds: Math.max(LEAST_SECONDS, Math.round(work.seconds * share)) },
      );
  }
}

/** A step laid out at its whole length, with the lengths it can be cut to. */
interface Whole {
  readonly step: RoutineStep;
  readonly laid: LaidStep;
  readonly choices: readonly StepSettings[];
  /** The voice has fewer keys for it today than the exercise wants. */
  readonly isNarrow: boolean;
  readonly keys: number | null;
  /** The seconds of one length; null where it cannot be sung, or has too few keys. */
  readonly secondsOf: (choice: StepSettings) => number | null;
}

function wholeOf(
  step: RoutineStep,
  exercise: Exercise,
  context: RoutineContext,
  sungSteps: number,
  isTight: boolean,
  shape: StepShape | undefined,
): Whole | null {
  const free: RoutineStep = { ...step, settings: withoutLength(step.settings) };
  const laid = layStep(free, exercise, context, sungSteps, 0);
  if (laid.problem) return null;
  const wanted = exercise.work.kind === 'pattern' ? Math.max(shape?.leastKeys ?? 0, exercise.work.fewestKeys) : 0;
  const keys = laid.laid?.kind === 'pattern' ? outwardKeys(laid) : null;
  const fewest = Math.min(isTight ? 1 : wanted, keys ?? 0);
  const secondsOf = (choice: StepSettings): number | null => {
    const settings = { ...free.settings, ...choice };
    const found = layStep({ ...free, settings }, exercise, context, sungSteps, 0);
    // With fewer keys a zone may strike every one that is left.
    return found.problem || outwardKeys(found) < fewest ? null : found.seconds;
  };
  return {
    step: free,
    laid,
    choices: choicesOf(laid, isTight, shape),
    isNarrow: (keys ?? wanted) < wanted,
    keys,
    secondsOf,
  };
}

/** The least and the most seconds of a step in a draft, and the keys the voice has for it. */
export interface LengthRange {
  readonly least: number;
  readonly most: number;
  /** The voice has fewer keys for it today than the exercise wants. */
  readonly isNarrow: boolean;
  /** Keys outward the voice has for it at most; null where it is no ladder. */
  readonly keys: number | null;
  /** Highest note of its whole length, MIDI. */
  readonly highest: number | null;
}

/**
 * The shortest and the longest a step can be in a draft, without laying out all that lies between.
 *
 * @param sungSteps patterns and sirens before it
 * @returns null where it cannot be done today
 */
export function lengthRange(
  step: RoutineStep,
  exercise: Exercise,
  context: RoutineContext,
  sungSteps: number,
  shape: StepShape,
): LengthRange | null {
  const whole = wholeOf(step, exercise, context, sungSteps, false, shape);
  if (!whole) return null;
  const { isNarrow, keys, laid, choices, secondsOf } = whole;
  const firstWithin = (list: readonly StepSettings[], most: number): number | undefined => {
    for (const choice of list) {
      const seconds = secondsOf(choice);
      if (seconds !== null && seconds <= most) return seconds;
    }
    return undefined;
  };
  const least = firstWithin(choices, Infinity) ?? laid.seconds;
  const most = firstWithin([...choices].reverse(), shape.mostSeconds) ?? least;
  return { least, most, isNarrow, keys, highest: laid.highest };
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
  const whole = wholeOf(step, exercise, context, sungSteps, isTight, shape);
  if (!whole) return [];
  const { step: free, laid, choices, secondsOf } = whole;
  const all = choices.flatMap((choice) => {
    const seconds = secondsOf(choice);
    return seconds === null ? [] : [{ settings: { ...free.settings, ...choice }, seconds }];
  });
  const within = shape ? all.filter(({ seconds }, index) => index === 0 || seconds <= shape.mostSeconds) : all;
  const longEnough = within.filter(
    ({ seconds }) => seconds >= (shape?.leastShare ?? 0) * (within.at(-1)?.seconds ?? 0),
  );
  const options = longEnough.length > 0 ? longEnough : [{ settings: free.settings, seconds: laid.seconds }];
  const longest = Math.max(...options.map(({ seconds }) => seconds - laid.setUpSeconds), 1);
  return options.map((option) => ({
    ...option,
    worth: worthOf((option.seconds - laid.setUpSeconds) / longest, weight),
  }));
}

const LENGTHS: ReadonlySet<string> = new Set(['maxKeys', 'withinSeconds', 'repeats', 'seconds']);

/** A step's settings without what says how long it lasts. */
export function withoutLength(settings: StepSettings): StepSettings {
  return Object.fromEntries(Object.entries(settings).filter(([name]) => !LENGTHS.has(name)));
}
