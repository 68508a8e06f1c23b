import { useEffect, useState } from 'react';

/** How often what counts is drawn anew. */
const DRAWN_EVERY_MS = 250;

/** Seconds since a run began, pauses and talk with them. */
export function spentSeconds({ startedAt }: { readonly startedAt: string }): number {
  return (Date.now() - Date.parse(startedAt)) / 1000;
}

/** How often it is looked whether a run takes longer than it was given. */
const LOOKED_EVERY_MS = 5000;

/** Seconds since a run began, drawn anew every few seconds, also while nothing is sung. */
export function useSpentSeconds(startedAt: string): number {
  const [spent, setSpent] = useState(() => spentSeconds({ startedAt }));
  useEffect(() => {
    const timer = setInterval(() => {
      setSpent(spentSeconds({ startedAt }));
    }, LOOKED_EVERY_MS);
    return () => {
      clearInterval(timer);
    };
  }, [startedAt]);
  return spent;
}

/** What a run counts, in seconds. */
export interface RunClock {
  /** Since the moment began, less its pauses. */
  readonly elapsed: number;
  /** Since the run began, as it was when the count was last drawn. */
  readonly spent: number;
}

/**
 * The one clock of a run. Seconds are counted by the clock, not by ticks: a tab that is throttled ticks rarely and counts
 * right all the same.
 *
 * @param moment another one begins at nought
 * @param isGoing it stands still while this is false
 */
export function useRunClock(startedAt: string, moment: string, isGoing: boolean): RunClock {
  const [clock, setClock] = useState({ moment, elapsed: 0, spent: 0 });
  useEffect(() => {
    if (!isGoing) return undefined;
    let since = performance.now();
    const count = (): void => {
      const now = performance.now();
      const passed = (now - since) / 1000;
      since = now;
      setClock((last) => ({
        moment,
        elapsed: (last.moment === moment ? last.elapsed : 0) + passed,
        spent: spentSeconds({ startedAt }),
      }));
    };
    const timer = setInterval(count, DRAWN_EVERY_MS);
    return () => {
      clearInterval(timer);
      count();
    };
  }, [startedAt, moment, isGoing]);
  return { elapsed: clock.moment === moment ? clock.elapsed : 0, spent: clock.spent };
}
