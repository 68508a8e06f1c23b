import { minutesToLesson, type LessonDay } from '../../api/lesson-times.ts';
import type { LessonToday } from '../../api/students.queries.ts';

/** Where the day stands: which lesson comes next and how far off it is. */
export interface DayState {
  readonly nextId: string | undefined;
  readonly isNow: boolean;
  readonly minutesToNext: number;
}

/** Finds the lesson going on, or else the next; one of the day before goes on since then. */
export function dayState(lessons: readonly Pick<LessonToday, 'lesson'>[], now: Date, day: LessonDay): DayState {
  const next = lessons.find(({ lesson }) => minutesToLesson(lesson, now, day) + lesson.minutes > 0);
  const toNext = next ? minutesToLesson(next.lesson, now, day) : 0;
  return { nextId: next?.lesson.id, isNow: next !== undefined && toNext <= 0, minutesToNext: toNext };
}
