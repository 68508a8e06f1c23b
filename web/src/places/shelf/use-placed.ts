import { useQuery } from '@tanstack/react-query';
import { layStep, type Exercise, type LaidStep } from '@soft-lark/core';
import { useCallback, useMemo } from 'react';
import { dayContext, useStudioAnswers } from '../../api/lay.ts';
import { studentTodayQuery } from '../../api/students.queries.ts';
import { useStudentInHand } from '../../shell/student-in-hand.ts';
import { useNow } from '../../ui/clock.ts';

const NOBODY: ReadonlySet<string> = new Set();

/** Where a pattern shows and sounds while nobody is in hand. */
const MIDDLE_C = 60;

/** The tonic of the first key an exercise is laid in. */
export function firstTonic(placed: LaidStep | null): number {
  return (placed?.laid?.kind === 'pattern' ? placed.laid.ladder.rungs[0]?.tonic : undefined) ?? MIDDLE_C;
}

export interface Placing {
  readonly studentId: string | undefined;
  readonly name: string | undefined;
  /** Ids of what the student in hand knows. */
  readonly known: ReadonlySet<string>;
  /** What an exercise comes to for that student today, as a later step of a lesson. */
  readonly place: (exercise: Exercise) => LaidStep | null;
}

/** Works exercises out for the student in hand today; each only once. */
export function usePlaced(exercises: ReadonlyMap<string, Exercise> | undefined): Placing {
  const student = useStudentInHand();
  const today = useQuery({ ...studentTodayQuery(student?.id ?? ''), enabled: student !== undefined }).data;
  const studio = useStudioAnswers();
  const now = useNow(600);
  const place = useCallback(
    (exercise: Exercise): LaidStep | null => {
      if (!today || !exercises) return null;
      const context = { ...dayContext(today, studio, exercises, now), occasion: 'lesson' as const };
      return layStep({ id: exercise.id, exerciseId: exercise.id, settings: {} }, exercise, context, 2, 0);
    },
    [today, exercises, studio, now],
  );
  const known = useMemo(() => (today ? new Set(today.student.known) : NOBODY), [today]);
  const { id: studentId, name } = student ?? {};
  return useMemo(() => ({ studentId, name, known, place }), [studentId, name, known, place]);
}
