import { minutesOfDay, weekdayOf } from '@soft-lark/core';
import type { LessonToday } from './students.queries.ts';

/** The day that lessons are shown for, and where its clock is read. */
export interface LessonDay {
  readonly day: string;
  readonly timeZone: string;
}

const DAY = 24 * 60;

/** Minutes until a lesson of the day begins, less than nought once it has; one of the day before goes on since then. */
export function minutesToLesson(
  { startsAt, weekday }: LessonToday['lesson'],
  now: Date,
  { day, timeZone }: LessonDay,
): number {
  const local = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone }).format(now);
  return minutesOfDay(startsAt) - (weekday === weekdayOf(day) ? 0 : DAY) - minutesOfDay(local);
}
