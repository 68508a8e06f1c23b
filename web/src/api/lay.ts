import {
  changeRules,
  occasionOf,
  type Answers,
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
import { pieceInHand, songsQuery, type KeptSong } from './songs.queries.ts';
import type { Student, StudentToday } from './students.queries.ts';

/** A student's day, as the server says it and as the gate may have changed it. */
export type Day = Pick<StudentToday, 'student' | 'conditions' | 'breathOff' | 'holdsOff'> &
  Partial<Pick<StudentToday, 'advised'>> & {
    readonly allowance?: Allowance;
    readonly hoursToPerformance?: number;
  };

/** What of a studio the figures of a day rest on. */
type StudioFigures = StudioAnswers & Pick<Session, 'ownOverlays'> & { readonly songs?: readonly KeptSong[] };

/** What a studio has settled for all its students. */
export type StudioAnswers = Pick<Session, 'rules' | 'approach'>;

/** The answers of the studio that is signed in, once they are here; they stay the same while nothing of them changes. */
export function useStudioAnswers(): StudioFigures | undefined {
  const session = useQuery(sessionQuery).data;
  const songs = useQuery(songsQuery).data;
  return useMemo(() => session && { ...session, ...(songs && { songs }) }, [session, songs]);
}

/** The rule table of one student: the studio's figures over the reference, the student's over those. */
export function rulesFor(studio: Pick<StudioAnswers, 'rules'> | undefined, { voice }: Student): RuleTable {
  return changeRules(voice.rules ?? {}, 'student', changeRules(studio?.rules ?? {}, 'studio'));
}

/** The approach of one student: the studio's answers, the student's own over those. */
export function approachFor(
  studio: Pick<StudioAnswers, 'approach'> | undefined,
  { voice }: Pick<Student, 'voice'>,
): Approach {
  return { ...studio?.approach, ...voice.approach };
}

/** Approach and rule table of one student together. */
export function answersFor(studio: StudioAnswers | undefined, student: Student): Answers {
  return { approach: approachFor(studio, student), rules: rulesFor(studio, student) };
}

/** Kind and occasion of a routine, as its figures rest on them. */
export function ofKind(kind: RoutineKind): Pick<RoutineContext, 'kind' | 'occasion'> {
  return { kind, occasion: occasionOf(kind) };
}

/** By exercise; what was taken a moment ago stands beside what the server has added up. */
function addedUp(advised: StudentToday['advised']): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const { exerciseId, semitones } of advised) sums.set(exerciseId, (sums.get(exerciseId) ?? 0) + semitones);
  return sums;
}

/** Everything about a student's day that a routine's figures rest on, besides its steps and its kind. */
export function dayContext(
  { student, conditions, breathOff, holdsOff, advised = [], allowance, hoursToPerformance }: Day,
  studio: StudioFigures | undefined,
  exercises: ReadonlyMap<string, Exercise>,
  now: Date,
): Omit<RoutineContext, 'occasion'> {
  const piece = pieceInHand(student.voice, studio?.songs);
  return {
    voice: student.voice,
    conditions,
    exercises,
    known: new Set(student.known),
    breathOff,
    holdsOff,
    advised: addedUp(advised),
    ...(allowance && { allowance }),
    ...(hoursToPerformance !== undefined && { hoursToPerformance }),
    ...answersFor(studio, student),
    ...(studio && { ownOverlays: studio.ownOverlays }),
    ...(piece && { songRange: { low: piece.lowest, high: piece.highest } }),
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
  const studio = useStudioAnswers();
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
  const studio = useStudioAnswers();
  return useMemo(
    () => ({ ...dayContext(day, studio, exercises, now), ...ofKind(kind) }),
    [day, studio, exercises, now, kind],
  );
}
