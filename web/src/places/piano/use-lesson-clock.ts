import { lessonClock, type LessonClock } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { minutesToLesson } from '../../api/lesson-times.ts';
import type { Routine } from '../../api/routines.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { todayQuery } from '../../api/students.queries.ts';
import { useSpentSeconds } from '../../runs/run-clock.ts';
import type { KeptRun } from '../../runs/run-store.ts';
import { useNow } from '../../ui/clock.ts';

/** A student who comes early is warmed up early. */
const EARLY_MINUTES = 15;

/** Seconds to the end of the student's lesson that is going on or about to; null where there is none. */
function useLessonLeft(studentId: string): number | null {
  const today = useQuery(todayQuery).data;
  const timeZone = useQuery(sessionQuery).data?.timeZone;
  const now = useNow();
  if (!today || timeZone === undefined) return null;
  const { day } = today;
  const ends = today.lessons
    .filter(({ student }) => student.id === studentId)
    .map(({ lesson }) => ({ toStart: minutesToLesson(lesson, now, { day, timeZone }), minutes: lesson.minutes }))
    .filter(({ toStart, minutes }) => toStart <= EARLY_MINUTES && toStart + minutes > 0)
    .map(({ toStart, minutes }) => (toStart + minutes) * 60);
  return ends[0] ?? null;
}

/**
 * The clock of the lesson a run opens.
 *
 * @param left seconds the plan still takes
 */
export function useLessonClock({ studentId, startedAt }: KeptRun, { minutes }: Routine, left: number): LessonClock {
  const lessonLeft = useLessonLeft(studentId);
  const spent = useSpentSeconds(startedAt);
  return lessonClock({ minutes, spent, left, lessonLeft });
}
