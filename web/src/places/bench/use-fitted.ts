import { fitRoutine, type FittedRoutine, type RoutineContext, type RoutineStep } from '@soft-lark/core';
import { useState } from 'react';

interface Plan {
  readonly steps: readonly RoutineStep[];
  readonly minutes: number;
}

/** A fit that stands on the bench, and the routine it was made of. */
interface Fitted {
  readonly of: Plan;
  readonly steps: readonly RoutineStep[];
}

interface Fitting {
  /** The steps of the bench, fitted to other minutes. */
  readonly fitted: (minutes: number) => readonly RoutineStep[];
  /** A fit that goes onto the bench: what it was made of is remembered. */
  readonly keep: (minutes: number) => readonly RoutineStep[];
}

/**
 * Fits what is on the bench to other minutes. Back and forth comes back to where it was: a fit of a fit begins with
 * what was there before the first.
 *
 * @param seconds what the bench lasts now
 */
export function useFitted({ steps, minutes }: Plan, seconds: number, context: RoutineContext): Fitting {
  const [fit, setFit] = useState<Fitted | null>(null);
  const isFit = fit?.steps === steps;
  const whole = isFit ? fit.of : { steps, minutes };
  const fitted = (wanted: number): readonly RoutineStep[] => {
    if (isFit && wanted === whole.minutes) return whole.steps;
    // Shortening lengthens nothing.
    const neverLonger = wanted < whole.minutes || (!isFit && seconds > wanted * 60);
    const fitOf = (from: readonly RoutineStep[]): FittedRoutine =>
      fitRoutine(from, wanted * 60, context, { mayDrop: true, neverLonger });
    const ofWhole = fitOf(whole.steps);
    // The first may have kept another cool-down than the one that is here, and a longer one.
    return (ofWhole.feasible ? ofWhole : fitOf(steps)).steps;
  };
  const keep = (wanted: number): readonly RoutineStep[] => {
    const next = fitted(wanted);
    setFit({ of: whole, steps: next });
    return next;
  };
  return { fitted, keep };
}
