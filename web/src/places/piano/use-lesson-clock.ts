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

/** The student's lesson that is going on or about to, in seconds; null where there is none. */
function useLesson(studentId: string): { readonly seconds: number; readonly left: number } | null {
  const today = useQuery(todayQuery).data;
  const timeZone = useQuery(sessionQuery).data?.timeZone;
  const now = useNow();
  if (!today || timeZone === undefined) return null;
  const { day } = today;
  const [next] = today.lessons
    .filter(({ student }) => student.id === studentId)
    .map(({ lesson }) => ({ toStart: minutesToLesson(lesson, now, { day, timeZone }), minutes: lesson.minutes }))
    .filter(({ toStart, minutes }) => toStart <= EARLY_MINUTES && toStart + minutes > 0);
  return next ? { seconds: next.minutes * 60, left: (next.toStart + next.minutes) * 60 } : null;
}

/**
 * The clock of the lesson a run opens.
 *
 * @param left seconds the plan still takes
 */
export function useLessonClock({ studentId, startedAt }: KeptRun, { minutes }: Routine, left: number): LessonClock {
  const lesson = useLesson(studentId);
  const spent = useSpentSeconds(startedAt);
  return lessonClock({ minutes, spent, left, lesson });
}
