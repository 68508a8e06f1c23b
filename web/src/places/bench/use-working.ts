import {
  layRoutine,
  reviewRoutine,
  songNeeds,
  type Exercise,
  type Finding,
  type LaidRoutine,
  type RoutineContext,
  type RoutineStep,
  type Severity,
} from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { historyFrom, historyQuery, usePieceInHand } from '../../api/history.queries.ts';
import { useRoutineContext } from '../../api/lay.ts';
import { mutesQuery, type Mute } from '../../api/mutes.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import type { EditedRoutine } from './bench.reducer.ts';
import { marksOf } from './marks-of.ts';
import { useDrafting, type Drafting } from './use-drafting.ts';

/** A routine worked out: that of the bench, or the one under the finger. */
export interface WorkedOut {
  readonly minutes: number;
  readonly steps: readonly RoutineStep[];
  readonly laid: LaidRoutine;
  readonly findings: readonly Finding[];
  /** Steps the review has something to say about. */
  readonly marks: ReadonlyMap<string, Severity>;
}

/** What a routine is worked out with, and the working out itself. */
export interface Working {
  readonly context: RoutineContext;
  /** Rules that are muted for this routine, this student or the studio. */
  readonly mutes: readonly Mute[];
  readonly drafting: Drafting;
  readonly workOut: (plan: Pick<WorkedOut, 'minutes' | 'steps'>) => WorkedOut;
}

function useMutes(routineId: string, studentId: string): readonly Mute[] {
  const all = useQuery(mutesQuery).data;
  return useMemo(
    () =>
      (all ?? []).filter(
        (mute) =>
          (mute.routineId === null || mute.routineId === routineId) &&
          (mute.studentId === null || mute.studentId === studentId),
      ),
    [all, routineId, studentId],
  );
}

/** Lays out and reviews a routine for a student today, with what was sung before and the piece in hand. */
export function useWorking(
  routineId: string,
  kind: EditedRoutine['kind'],
  today: StudentToday,
  shelf: ReadonlyMap<string, Exercise>,
  now: Date,
): Working {
  const { id: studentId, voice } = today.student;
  const context = useRoutineContext(today, shelf, now, kind);
  const mutes = useMutes(routineId, studentId);
  const song = usePieceInHand(voice);
  const past = useQuery(historyQuery(studentId)).data;
  const history = useMemo(() => past && historyFrom(past), [past]);
  const workOut = useCallback<Working['workOut']>(
    (plan) => {
      const laid = layRoutine(plan.steps, context);
      const findings = reviewRoutine({
        ...context,
        ...plan,
        laid,
        ...(history && { history }),
        ...(song && { song }),
        muted: new Set(mutes.map(({ rule }) => rule)),
      });
      return { ...plan, laid, findings, marks: marksOf(findings) };
    },
    [context, history, song, mutes],
  );
  const drafting = useDrafting(studentId, context, history?.ease, song && songNeeds(song, voice));
  return { context, mutes, drafting, workOut };
}
