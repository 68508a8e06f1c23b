import {
  changeRules,
  occasionOf,
  type Approach,
  type Allowance,
  type Exercise,
  type RoutineContext,
  type RoutineKind,
  type RoutineStep,
  type RuleTable,
  layRoutine,
  type LaidRoutine,
} from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { sessionQuery, type Session } from './session.queries.ts';
import type { Student, StudentToday } from './students.queries.ts';

/** A student's day, as the server says it and as the gate may have changed it. */
export type Day = Pick<StudentToday, 'student' | 'conditions' | 'breathOff' | 'holdsOff'> & {
  readonly allowance?: Allowance;
  readonly hoursToPerformance?: number;
};

type StudioAnswers = Pick<Session, 'rules' | 'approach'>;

/** The rule table of one student: the studio's figures over the reference, the student's over those. */
export function rulesFor(studio: StudioAnswers | undefined, { voice }: Student): RuleTable {
  return changeRules(voice.rules ?? {}, 'this student', changeRules(studio?.rules ?? {}, 'the studio'));
}

/** The approach of one student: the studio's answers, the student's own over those. */
export function approachFor(studio: StudioAnswers | undefined, { voice }: Pick<Student, 'voice'>): Approach {
  return { ...studio?.approach, ...voice.approach };
}

/** Kind and occasion of a routine, as its figures rest on them. */
export function ofKind(kind: RoutineKind): Pick<RoutineContext, 'kind' | 'occasion'> {
  return { kind, occasion: occasionOf(kind) };
}

/** Everything about a student's day that a routine's figures rest on, besides its steps and its kind. */
export function dayContext(
  { student, conditions, breathOff, holdsOff, allowance, hoursToPerformance }: Day,
  studio: StudioAnswers | undefined,
  exercises: ReadonlyMap<string, Exercise>,
  now: Date,
): Omit<RoutineContext, 'occasion'> {
  return {
    voice: student.voice,
    conditions,
    exercises,
    known: new Set(student.known),
    rules: rulesFor(studio, student),
    breathOff,
    holdsOff,
    ...(allowance && { allowance }),
    ...(hoursToPerformance !== undefined && { hoursToPerformance }),
    approach: approachFor(studio, student),
    now: now.toISOString(),
  };
}

/** Works routines out for a student's day, by this studio's rules; stays the same while those do. */
export function useLay(): (
  routine: { readonly steps: readonly RoutineStep[]; readonly kind: RoutineKind },
  day: Day,
  exercises: ReadonlyMap<string, Exercise>,
  now: Date,
) => LaidRoutine {
  const studio = useQuery(sessionQuery).data;
  return useCallback(
    (routine, day, exercises, now) =>
      layRoutine(routine.steps, { ...dayContext(day, studio, exercises, now), ...ofKind(routine.kind) }),
    [studio],
  );
}

/** The whole context of a routine on a student's day; stays the same while nothing of it does. */
export function useRoutineContext(
  day: Day,
  exercises: ReadonlyMap<string, Exercise>,
  now: Date,
  kind: RoutineKind,
): RoutineContext {
  const studio = useQuery(sessionQuery).data;
  return useMemo(
    () => ({ ...dayContext(day, studio, exercises, now), ...ofKind(kind) }),
    [day, studio, exercises, now, kind],
  );
}
