import dayjs from 'dayjs';
import type { LessonToday } from '../../api/students.queries.ts';

/** Where the day stands: which lesson comes next and how far off it is. */
export interface DayState {
  readonly nextId: string | undefined;
  readonly isNow: boolean;
  readonly minutesToNext: number;
}

/** Minutes since midnight, as the studio's day has it. */
export function minutesOfDay(time: string): number {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return hours * 60 + minutes;
}

/** Finds the lesson going on, or else the next. */
export function dayState(lessons: readonly LessonToday[], now: Date, timeZone: string): DayState {
  const local = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone }).format(now);
  const at = minutesOfDay(local);
  const next = lessons.find(({ lesson }) => minutesOfDay(lesson.startsAt) + lesson.minutes > at);
  const toNext = next ? minutesOfDay(next.lesson.startsAt) - at : 0;
  return { nextId: next?.lesson.id, isNow: next !== undefined && toNext <= 0, minutesToNext: toNext };
}

/** ISO weekday of a date, Monday is 1. */
export function weekdayOf(date: string): number {
  return dayjs(date).day() || 7;
}
