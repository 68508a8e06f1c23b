import type { LaidRoutine, LaidStep, Limits, ReferenceRange, VoiceFile } from '@soft-lark/core';

/** Pitches a picture has to hold, and how they turn into heights. */
export interface PitchScale {
  readonly low: number;
  readonly high: number;
  readonly y: (midi: number) => number;
}

/** A pitch axis from the lowest at the bottom to the highest at the top. */
export function pitchScale(low: number, high: number, top: number, bottom: number): PitchScale {
  return { low, high, y: (midi) => bottom - ((midi - low) / Math.max(1, high - low)) * (bottom - top) };
}

/** The zones of a voice on one scale: what is comfortable, what can be reached. */
export function voiceSpan(
  { measured }: VoiceFile,
  { comfortable, usual }: ReferenceRange,
): {
  readonly low: number;
  readonly high: number;
  readonly reachLow: number;
  readonly reachHigh: number;
} {
  if (!measured) return { low: comfortable.low, high: comfortable.high, reachLow: usual.low, reachHigh: usual.high };
  const { low, high, reachLow = low, reachHigh = high } = measured;
  return { low, high, reachLow, reachHigh };
}

/** Steps of today's ordinary work, neither gentle nor modest; where there is none, any that has limits. */
function ordinarySteps(routine: LaidRoutine): readonly (LaidStep & { readonly limits: Limits })[] {
  const limited = routine.steps.flatMap((step) => (step.limits ? [{ ...step, limits: step.limits }] : []));
  const ordinary = limited.filter(
    ({ exercise }) =>
      exercise.work.kind === 'pattern' && exercise.stage !== 'occluded' && exercise.register !== 'light',
  );
  return ordinary.length > 0 ? ordinary : limited;
}

/** Floor and ceiling of today's ordinary work, the widest of its steps. */
export function todaysLimits(routine: LaidRoutine): { readonly floor: number; readonly ceiling: number } | null {
  const any = ordinarySteps(routine).map(({ limits }) => limits);
  if (any.length === 0) return null;
  return { floor: Math.min(...any.map(({ floor }) => floor)), ceiling: Math.max(...any.map(({ ceiling }) => ceiling)) };
}

/** The step today's top comes from. */
export function todaysTop(routine: LaidRoutine): (LaidStep & { readonly limits: Limits }) | undefined {
  return [...ordinarySteps(routine)].sort((a, b) => a.limits.ceiling - b.limits.ceiling).at(-1);
}
