import { useQuery } from '@tanstack/react-query';
import { layStep, USUAL_SET_UP, type Exercise, type LaidStep } from '@soft-lark/core';
import { useCallback } from 'react';
import { studentTodayQuery } from '../../api/students.queries.ts';
import { useStudentInHand } from '../../shell/student-in-hand.ts';

/** Works an exercise out for the student in hand today, as a later step of a lesson. */
export function usePlaced(exercises: ReadonlyMap<string, Exercise> | undefined): {
  readonly name: string | undefined;
  readonly place: (exercise: Exercise) => LaidStep | null;
} {
  const student = useStudentInHand();
  const today = useQuery({ ...studentTodayQuery(student?.id ?? ''), enabled: student !== undefined }).data;
  const place = useCallback(
    (exercise: Exercise): LaidStep | null => {
      if (!today || !exercises) return null;
      const context = {
        voice: today.student.voice,
        conditions: today.conditions,
        occasion: 'lesson' as const,
        exercises,
        known: new Set(today.student.known),
        setUp: USUAL_SET_UP,
        now: '',
      };
      return layStep({ id: exercise.id, exerciseId: exercise.id, settings: {} }, exercise, context, 2, 0);
    },
    [today, exercises],
  );
  return { name: student?.name, place };
}
