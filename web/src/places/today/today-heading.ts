import { minutesOfDay, weekdayOf } from '@soft-lark/core';
import type { LessonToday } from '../../api/students.queries.ts';

/** Where the day stands: which lesson comes next and how far off it is. */
export interface DayState {
  readonly nextId: string | undefined;
  readonly isNow: boolean;
  readonly minutesToNext: number;
}

const DAY = 24 * 60;

/** Finds the lesson going on, or else the next; one of the day before goes on since then. */
export function dayState(
  lessons: readonly Pick<LessonToday, 'lesson'>[],
  now: Date,
  { day, timeZone }: { readonly day: string; readonly timeZone: string },
): DayState {
  const local = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone }).format(now);
  const at = minutesOfDay(local);
  const startOf = ({ startsAt, weekday }: LessonToday['lesson']): number =>
    minutesOfDay(startsAt) - (weekday === weekdayOf(day) ? 0 : DAY);
  const next = lessons.find(({ lesson }) => startOf(lesson) + lesson.minutes > at);
  const toNext = next ? startOf(next.lesson) - at : 0;
  return { nextId: next?.lesson.id, isNow: next !== undefined && toNext <= 0, minutesToNext: toNext };
}
