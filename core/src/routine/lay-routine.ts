import { referenceOf } from '../voice/index.ts';
import { isSung, layStep } from './lay-step.ts';
import type { LaidRoutine, LaidStep, RoutineContext } from './routine.types.ts';
import type { RoutineStep } from './step.schema.ts';

/**
 * Works a whole routine out for a voice today: limits, keys and seconds of every step, one after the other.
 * Steps whose exercise is not on the shelf are passed over.
 *
 * @returns seconds in all, set-up included; lowest and highest note, `null` where nothing is sung
 */
export function layRoutine(steps: readonly RoutineStep[], context: RoutineContext): LaidRoutine {
  const laid: LaidStep[] = [];
  let clock = 0;
  let sungSteps = 0;
  for (const step of steps) {
    const exercise = context.exercises.get(step.exerciseId);
    if (!exercise) continue;
    const next = layStep(step, exercise, context, sungSteps, clock);
    laid.push(next);
    clock += next.seconds;
    if (isSung(next)) sungSteps += 1;
  }
  const lows = laid.flatMap(({ lowest }) => lowest ?? []);
  const highs = laid.flatMap(({ highest }) => highest ?? []);
  return {
    reference: referenceOf(context.voice, context.rules?.ranges),
    steps: laid,
    seconds: clock,
    voicedSeconds: laid.reduce((sum, { voicedSeconds }) => sum + voicedSeconds, 0),
    lowest: lows.length > 0 ? Math.min(...lows) : null,
    highest: highs.length > 0 ? Math.max(...highs) : null,
  };
}
