import type { LaidStep, RoutineContext } from '../routine/index.ts';
import type { Statement } from '../statement.ts';
import { adviseLaidStep, type AdvicePast, type StepAdvice } from './advise-laid-step.ts';

/** House choice: more than this is not read between two lessons. */
const MOST_LINES = 3;
/** Source: the review’s own rule; days without anything new after which something new is due. */
const NOTHING_NEW_DAYS = 28;

export type LineCode =
  | 'line.symptom'
  | 'line.ease-ceiling'
  | 'line.ease-tempo'
  | 'line.stuck'
  | 'line.raise-ceiling'
  | 'line.raise-tempo'
  | 'line.nothing-new';

/** One thing to do differently from last time, at a step where it is about one. */
export interface LessonLine {
  readonly stepId?: string;
  readonly said: Statement<LineCode>;
}

/** What the log says besides runs of single exercises. */
export interface LessonPast extends AdvicePast {
  /** Exercises that never went well at the setting they still have. */
  readonly stuck?: ReadonlySet<string>;
  readonly daysSinceAnythingNew?: number;
}

interface Weighed extends LessonLine {
  readonly weight: number;
}

/** What hurts comes first, then what was too much, then what stands still, then what may go on. */
const WEIGHT: Readonly<Record<LineCode, number>> = {
  'line.symptom': 0,
  'line.ease-ceiling': 1,
  'line.ease-tempo': 1,
  'line.stuck': 2,
  'line.raise-ceiling': 3,
  'line.raise-tempo': 3,
  'line.nothing-new': 4,
};

function weighed(code: LineCode, values: Statement['values'] = {}, stepId?: string): Weighed {
  return { said: { code, values }, weight: WEIGHT[code], ...(stepId !== undefined && { stepId }) };
}

function adviceLine({ id, exercise: { name } }: LaidStep, { kind, verdict, value, reason, days }: StepAdvice): Weighed {
  const why = { code: `advice.${reason}`, values: { days: days.map((day) => ({ day })) } };
  if (verdict === 'hold') return weighed('line.symptom', { name, why }, id);
  return weighed(`line.${verdict}-${kind}`, { name, why, value: kind === 'ceiling' ? { note: value } : value }, id);
}

/**
 * What to do differently from last time, before a lesson: three lines at most, the gravest first. An exercise that stands
 * still is named with its easier relative on the shelf.
 *
 * @param steps the routine laid out for today
 */
export function lessonLines(
  steps: readonly LaidStep[],
  context: Pick<RoutineContext, 'voice' | 'occasion' | 'conditions' | 'exercises' | 'known'>,
  past: LessonPast,
): readonly LessonLine[] {
  const { stuck = new Set(), daysSinceAnythingNew = 0 } = past;
  const atSteps = steps.flatMap((step): readonly Weighed[] => {
    const advice = adviseLaidStep(step, context, past);
    const { id, exercise } = step;
    if (advice && advice.verdict !== 'raise') return [adviceLine(step, advice)];
    if (stuck.has(exercise.id)) {
      const easier = exercise.relatives
        .filter(({ as }) => as === 'easier')
        .flatMap((relative) => context.exercises.get(relative.id)?.name ?? [])[0];
      return [
        weighed('line.stuck', { name: exercise.name, ...(easier !== undefined && { easier, context: 'easier' }) }, id),
      ];
    }
    return advice ? [adviceLine(step, advice)] : [];
  });
  const isAllKnown = steps.length > 0 && steps.every(({ exercise }) => context.known.has(exercise.id));
  const staleness =
    daysSinceAnythingNew >= NOTHING_NEW_DAYS && isAllKnown
      ? [weighed('line.nothing-new', { count: Math.floor(daysSinceAnythingNew / 7) })]
      : [];
  return [...atSteps, ...staleness]
    .sort((a, b) => a.weight - b.weight)
    .slice(0, MOST_LINES)
    .map(({ said, stepId }) => ({ said, ...(stepId !== undefined && { stepId }) }));
}
