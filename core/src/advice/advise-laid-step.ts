import { isGentle } from '../day/index.ts';
import { isMissed } from '../past/index.ts';
import type { LaidStep, RoutineContext } from '../routine/index.ts';
import { resolveLimits } from '../limits/index.ts';
import type { AdviceAnswer, AdvisedKind } from './advice-answer.ts';
import { adviseStep, type Advice, type AdvisedRun } from './advise-step.ts';

/** One run of an exercise that is sung in keys. */
export interface ExerciseRun extends Omit<AdvisedRun, 'reached'> {
  /** Highest note, MIDI, and beats per minute. */
  readonly highest: number;
  readonly tempo: number;
}

/** What is advised for one setting of a step. */
export interface StepAdvice extends Advice {
  readonly kind: AdvisedKind;
  /** Semitones the top moves by, for this exercise from now on; nothing where the step has a top of its own. */
  readonly movesBy?: number;
  /** The runs it rests on, as ISO days. */
  readonly days: readonly string[];
}

/** What is known when a step is advised on. */
export interface AdvicePast {
  /** Runs of exercises, oldest first. */
  readonly runsOf: ReadonlyMap<string, readonly ExerciseRun[]>;
  readonly answers?: readonly AdviceAnswer[];
  /** ISO day. */
  readonly today: string;
}

/** How easy a run was is said of all of it: only an exercise that was marked in a hard one was hard itself. */
const PLAIN_EASE = 3;

function asRuns(runs: readonly ExerciseRun[], reached: (run: ExerciseRun) => number): readonly AdvisedRun[] {
  return runs.map(({ ease, ...run }) => ({
    ...run,
    reached: reached({ ...run, ...(ease !== undefined && { ease }) }),
    ...(ease !== undefined && { ease: isMissed(run) ? ease : Math.max(ease, PLAIN_EASE) }),
  }));
}

/** Whether all that a piece of advice rests on was known when it was answered. */
function wasAnswered(
  { kind, verdict, days }: StepAdvice,
  exerciseId: string,
  answers: readonly AdviceAnswer[],
): boolean {
  const latest = [...days].sort((a, b) => a.localeCompare(b)).at(-1) ?? '';
  return answers.some(
    (one) => one.exerciseId === exerciseId && one.kind === kind && one.verdict === verdict && latest <= one.date,
  );
}

/** Whether the top of a step would stand higher for it: what caps a step in its place caps it still. */
function isFelt({ limits, limitContext }: LaidStep, movesBy: number): boolean {
  if (!limits || !limitContext) return false;
  const advice = { ...limitContext.advice, ceiling: (limitContext.advice?.ceiling ?? 0) + movesBy };
  return resolveLimits({ ...limitContext, advice }).ceiling > limits.ceiling;
}

/**
 * What past runs of an exercise say of the step as it stands: its top, and the tempo of quick work. Gentle work and belted
 * work are left alone: one is to stay easy, the other has rules of its own. What was taken or refused comes back when a newer
 * run speaks for it.
 *
 * @returns nothing where all stays as it is and there is nothing to heed
 */
export function adviseLaidStep(
  step: LaidStep,
  { voice, occasion, conditions }: Pick<RoutineContext, 'voice' | 'occasion' | 'conditions'>,
  { runsOf, answers = [], today }: AdvicePast,
): StepAdvice | null {
  const { exercise, laid, limits, settings } = step;
  if (laid?.kind !== 'pattern' || !limits || step.problem || isGentle(exercise)) return null;
  const runs = runsOf.get(exercise.id) ?? [];
  const day = { date: today, conditions, occasion };
  const told = (kind: AdvisedKind, advice: Advice, movesBy?: number): StepAdvice => ({
    ...advice,
    kind,
    ...(movesBy !== undefined && { movesBy }),
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
  const movesBy = settings.ceiling === undefined ? top.value - limits.ceiling : undefined;
  const isTop = exercise.register !== 'heavy' && voice.measured !== undefined && top.reason !== 'past-reach';
  const isIdle = top.verdict === 'raise' && movesBy !== undefined && !isFelt(step, movesBy);
  const all = [
    ...(isTop && !isIdle ? [told('ceiling', top, movesBy)] : []),
    ...(exercise.stage === 'agility' ? [told('tempo', pace)] : []),
  ];
  return (
    all.find(
      (advice) =>
        (advice.verdict !== 'hold' || advice.reason === 'symptom') && !wasAnswered(advice, exercise.id, answers),
    ) ?? null
  );
}
