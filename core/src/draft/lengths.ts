import { isRested } from '../voice/index.ts';
import { STAGES } from '../limits/index.ts';
import { isSungWork, patternOfWork, type Exercise } from '../shelf/index.ts';
import { lengthRange, type LengthRange, type StepShape } from '../fit/index.ts';
import { layStep, type StepSettings } from '../routine/index.ts';
import { turned } from './coming-back.ts';
import { stepShape } from './draft-shape.ts';
import type { DraftContext } from './draft.types.ts';

/** A step that a draft has chosen already. */
interface Chosen {
  readonly exercise: Exercise;
}

/** What an exercise is set to in a draft: at the tempo it is learnt in while it is new, as the last run left it later. */
function settingsOf(exercise: Exercise, context: DraftContext): StepSettings {
  const { id, work } = exercise;
  if (work.kind !== 'pattern') return {};
  if (context.known.has(id)) return turned(exercise, context).settings;
  return work.tempo.learn === undefined ? {} : { tempo: work.tempo.learn };
}

/** Sung steps that come before an exercise, by stage: what limits it there. */
function sungBefore({ stage }: Exercise, filled: readonly Chosen[]): number {
  const rank = STAGES.indexOf(stage);
  return filled.filter(({ exercise }) => isSungWork(exercise) && STAGES.indexOf(exercise.stage) < rank).length;
}

/** A tune narrower than this is none. Semitones. */
const LEAST_SPAN = 4;

/** What an exercise is set to, with the lengths it can have so. */
export interface Lengths extends LengthRange {
  readonly settings: StepSettings;
}

/** A place in a draft that an exercise is tried at. */
interface Place {
  readonly sungSteps: number;
  readonly shape: StepShape;
  readonly context: DraftContext;
}

/**
 * What an exercise is set to, and how long it can be there. Where the voice has too few keys for it, it starts lower, and
 * where that is not enough the tune is narrowed as well.
 */
export function lengthsOf(exercise: Exercise, filled: readonly Chosen[], context: DraftContext): Lengths | null {
  const settings = settingsOf(exercise, context);
  const place = { sungSteps: sungBefore(exercise, filled), shape: stepShape(exercise, context), context };
  const start = lastStart(exercise, settings, place);
  const again = start && lengthsWith(exercise, { ...settings, ...start }, place);
  if (again && !again.isNarrow) return again;
  const whole = lengthsWith(exercise, settings, place);
  if (exercise.work.kind !== 'pattern' || (whole && !whole.isNarrow)) return whole;
  for (const change of roomier(exercise, settings, place)) {
    const found = lengthsWith(exercise, { ...settings, ...change }, place);
    if (found && !found.isNarrow) return found;
  }
  return whole;
}

/** Where a ladder began last time, if it would begin elsewhere by itself; nowhere on a day that asks for other keys. */
function lastStart(
  exercise: Exercise,
  settings: StepSettings,
  { context, sungSteps }: Place,
): { readonly start: number } | null {
  const { known, reached, conditions } = context;
  const last = known.has(exercise.id) && isRested(conditions) ? reached?.get(exercise.id) : undefined;
  if (!last) return null;
  const { laid } = layStep({ id: '', exerciseId: exercise.id, settings }, exercise, context, sungSteps, 0);
  return laid?.kind === 'pattern' && laid.input.start === last.start ? null : { start: last.start };
}

function lengthsWith(exercise: Exercise, settings: StepSettings, { context, sungSteps, shape }: Place): Lengths | null {
  const found = lengthRange({ id: '', exerciseId: exercise.id, settings }, exercise, context, sungSteps, shape);
  return found && { settings, ...found };
}

/** Settings that give a ladder more keys, the gentlest first: a lower start, then a narrower tune from there. */
function roomier(
  exercise: Exercise,
  settings: StepSettings,
  { context, sungSteps, shape }: Place,
): readonly StepSettings[] {
  const step = { id: '', exerciseId: exercise.id, settings };
  const { limits, laid, problem } = layStep(step, exercise, context, sungSteps, 0);
  if (!limits) return [];
  const span = limits.ceiling - limits.floor - (shape.leastKeys - 1);
  const tune = exercise.work.kind === 'pattern' ? patternOfWork(exercise.work) : null;
  const start = limits.floor - (tune?.low ?? 0);
  const isRising = laid?.kind === 'pattern' ? laid.input.travel.startsWith('rise') : problem !== undefined;
  const narrow = span >= LEAST_SPAN ? [{ narrowTo: span }, { narrowTo: span, start }] : [];
  return isRising ? [{ start }, ...narrow] : narrow.slice(0, 1);
}
