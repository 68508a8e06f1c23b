import {
  adviseStep,
  isGentle,
  isMissed,
  type Advice,
  type AdvisedRun,
  type LaidStep,
  type RoutineContext,
} from '@soft-lark/core';
import type { Schemas } from '../../api/client.ts';

type RunOf = Schemas['ExerciseRunDto'];

/** What is advised for one setting of a step. */
export interface StepAdvice extends Advice {
  readonly kind: 'ceiling' | 'tempo';
  /** The runs it rests on, as days. */
  readonly days: readonly string[];
}

/** How easy a run was is said of all of it: only an exercise that was marked in a hard one was hard itself. */
const PLAIN_EASE = 3;

function asRuns(runs: readonly RunOf[], reached: (run: RunOf) => number): readonly AdvisedRun[] {
  return runs.map(({ date, ease, marks, conditions, occasion, ...run }) => ({
    ...{ date, marks, conditions, occasion, reached: reached({ date, marks, conditions, occasion, ...run }) },
    ...(ease !== undefined && { ease: isMissed({ marks }) ? ease : Math.max(ease, PLAIN_EASE) }),
  }));
}

/**
 * What past runs of an exercise say of the step that stands on the bench: its top, and the tempo of quick work. Gentle work and
 * belted work are left alone: one is to stay easy, the other has rules of its own.
 *
 * @returns nothing where all stays as it is and there is nothing to heed
 */
export function adviceOf(
  step: LaidStep,
  runs: readonly RunOf[],
  { voice, occasion, conditions }: RoutineContext,
  today: string,
): StepAdvice | null {
  const { exercise, laid, limits, settings } = step;
  if (laid?.kind !== 'pattern' || !limits || step.problem || isGentle(exercise)) return null;
  const day = { date: today, conditions, occasion };
  const told = (kind: StepAdvice['kind'], advice: Advice): StepAdvice => ({
    ...advice,
    kind,
    days: advice.evidence.flatMap((index) => runs[index]?.date ?? []),
  });
  const { low, high, reachLow = low, reachHigh = high } = voice.measured ?? { low: 0, high: 0 };
  const topFrom = (value: number): Advice =>
    adviseStep({
      setting: { kind: 'ceiling', value },
      runs: asRuns(runs, ({ highest }) => highest),
      today: day,
      ...(voice.measured && { reach: { low: reachLow, high: reachHigh } }),
    });
  const limit = settings.ceiling ?? limits.ceiling;
  const atLimit = topFrom(limit);
  // What was too much was what is sung, which may lie far under the limit.
  const top = atLimit.verdict === 'ease' ? topFrom(Math.min(limit, step.highest ?? limit)) : atLimit;
  const pace = adviseStep({
    setting: { kind: 'tempo', value: laid.input.tempo },
    runs: asRuns(runs, ({ tempo }) => tempo),
    today: day,
  });
  const isTop = exercise.register !== 'heavy' && voice.measured !== undefined && top.reason !== 'past-reach';
  const all = [
    ...(isTop ? [told('ceiling', top)] : []),
    ...(exercise.stage === 'agility' ? [told('tempo', pace)] : []),
  ];
  return all.find(({ verdict, reason }) => verdict !== 'hold' || reason === 'symptom') ?? null;
}
