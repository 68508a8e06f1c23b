import { loadAgainst, type LoadMark } from '../past/index.ts';
import { daysAfter, weekdayOf } from '../voice/index.ts';
import { minutesOfDay } from '../clock-time.ts';
import { PRACTICE } from './practice.data.ts';

/** How often, when and how long a student is asked to practise. */
export interface PracticeWishes {
  /** First day, `YYYY-MM-DD`. */
  readonly from: string;
  readonly weeks: number;
  /** Days of the week, 1 Monday to 7 Sunday. */
  readonly weekdays: readonly number[];
  /** Begin of each go of a day, `HH:MM` where the student is. */
  readonly times: readonly string[];
  readonly minutesAGo: number;
  /** Weighted minutes of one go. */
  readonly loadAGo: number;
  /** Hours between the beginnings of two goes of a day; left out as usual. */
  readonly leastGapHours?: number;
}

/** One go that is asked for. One that is missed is not made up. */
export interface PracticeGo {
  readonly date: string;
  readonly time: string;
}

/** What does not fit: the goes it is about stand with it. */
export type PracticeFinding =
  | { readonly code: 'TOO_CLOSE'; readonly times: readonly [string, string]; readonly leastGapHours: number }
  | { readonly code: 'TOO_MUCH'; readonly mark: LoadMark; readonly share: number };

export interface PracticePlan {
  readonly goes: readonly PracticeGo[];
  /** Goes of a whole week, and their weighted minutes. */
  readonly goesAWeek: number;
  readonly weekLoad: number;
  /** When what was set is looked at again. */
  readonly reviewOn: string;
  readonly findings: readonly PracticeFinding[];
}

const DAYS_A_WEEK = 7;

function closeGoes(times: readonly string[], leastGapHours: number): readonly PracticeFinding[] {
  return times.slice(1).flatMap((time, index) => {
    const before = times[index] ?? time;
    return minutesOfDay(time) - minutesOfDay(before) < leastGapHours * 60
      ? [{ code: 'TOO_CLOSE' as const, times: [before, time] as const, leastGapHours }]
      : [];
  });
}

/**
 * Lays out the goes of some weeks, and holds a week of them against what the voice is used to.
 *
 * @param usualWeekLoad weighted minutes of the student's usual week; left out where four weeks are not known
 * @example two goes on three weekdays for four weeks // 24 goes, 6 a week
 */
export function practicePlan(wishes: PracticeWishes, usualWeekLoad?: number): PracticePlan {
  const { from, weeks, weekdays, minutesAGo, loadAGo, leastGapHours = PRACTICE.leastGapHours } = wishes;
  const times = [...new Set(wishes.times)].sort((one, other) => minutesOfDay(one) - minutesOfDay(other));
  const days = Array.from({ length: weeks * DAYS_A_WEEK }, (_, index) => daysAfter(from, index));
  const goes = days
    .filter((date) => weekdays.includes(weekdayOf(date)))
    .flatMap((date) => times.map((time) => ({ date, time })));
  const goesAWeek = new Set(weekdays).size * times.length;
  const weekLoad = goesAWeek * loadAGo;
  const load = usualWeekLoad === undefined ? null : loadAgainst(weekLoad, usualWeekLoad);
  return {
    goes,
    goesAWeek,
    weekLoad,
    reviewOn: daysAfter(from, PRACTICE.reviewAfterWeeks * DAYS_A_WEEK),
    findings: [
      ...closeGoes(times, Math.max(leastGapHours, minutesAGo / 60)),
      ...(load?.mark ? [{ code: 'TOO_MUCH' as const, mark: load.mark, share: load.share }] : []),
    ],
  };
}
