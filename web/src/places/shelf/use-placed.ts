import { useQuery } from '@tanstack/react-query';
import { layStep, type Exercise, type LaidStep } from '@soft-lark/core';
import { useCallback } from 'react';
import { dayContext } from '../../api/lay.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { studentTodayQuery } from '../../api/students.queries.ts';
import { useStudentInHand } from '../../shell/student-in-hand.ts';
import { useNow } from '../../ui/clock.ts';

/** Works an exercise out for the student in hand today, as a later step of a lesson. */
export function usePlaced(exercises: ReadonlyMap<string, Exercise> | undefined): {
  readonly name: string | undefined;
  readonly place: (exercise: Exercise) => LaidStep | null;
} {
  const student = useStudentInHand();
  const today = useQuery({ ...studentTodayQuery(student?.id ?? ''), enabled: student !== undefined }).data;
  const studio = useQuery(sessionQuery).data;
  const now = useNow(600);
  const place = useCallback(
    (exercise: Exercise): LaidStep | null => {
      if (!today || !exercises) return null;
      const context = { ...dayContext(today, studio, exercises, now), occasion: 'lesson' as const };
      return layStep({ id: exercise.id, exerciseId: exercise.id, settings: {} }, exercise, context, 2, 0);
    },
    [today, exercises, studio, now],
  );
  return { name: student?.name, place };
}
