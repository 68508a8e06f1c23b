import {
  layRoutine,
  minutesToday,
  refitRun,
  withFellows,
  type Exercise,
  type Joining,
  type RoutineContext,
  type RoutineStep,
  type RunState,
} from '@soft-lark/core';
import { useQueries, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { v7 } from 'uuid';
import { groupsQuery } from '../../api/groups.queries.ts';
import { dayContext, ofKind, useStudioAnswers } from '../../api/lay.ts';
import type { Routine } from '../../api/routines.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { studentTodayQuery, type StudentToday } from '../../api/students.queries.ts';
import type { KeptFellow } from '../../runs/run-store.ts';
import { useNow } from '../../ui/clock.ts';
import { gateDay, type GateDay } from './gate-day.ts';
import type { Answers } from './gate-questions.tsx';
import { plannedFor } from './run-plan.ts';

/** One who may sing along. */
export interface FellowAtGate {
  readonly today: StudentToday;
  /** What was answered for this voice; nothing while this one does not sing along. */
  readonly answers: Answers | undefined;
  readonly gate: GateDay;
}

/** Who of the group sings along in a routine that is led for it. */
export interface FellowsAtGate {
  readonly all: readonly FellowAtGate[];
  /** Whether each who sings along may, all having been asked. */
  readonly mayBegin: boolean;
  readonly isInTurn: boolean;
  readonly onInTurn: (isInTurn: boolean) => void;
  /** Nothing: this one does not sing along. */
  readonly answer: (studentId: string, answers: Answers | undefined) => void;
  /** The shortest anybody should sing today, of so many minutes. */
  readonly minutes: (wanted: number) => number;
  /** The run with those who sing along, no longer than `seconds` where they take turns. */
  readonly join: (run: RunState, steps: readonly RoutineStep[], context: RoutineContext, seconds: number) => RunState;
  /** They, as they are kept with the run. */
  readonly kept: (run: RunState) => readonly KeptFellow[];
}

/** The other singers of a routine that is led for a group, each asked what the gate asks. */
export function useFellows(routine: Routine, shelf: ReadonlyMap<string, Exercise>): FellowsAtGate {
  const now = useNow(600);
  const studio = useStudioAnswers();
  const todaysDate = useQuery(sessionQuery).data?.today ?? '';
  const { groupId, studentId } = routine;
  const groups = useQuery({ ...groupsQuery, enabled: groupId !== undefined }).data ?? [];
  const members = groups.find(({ id }) => id === groupId)?.members.filter((id) => id !== studentId) ?? [];
  const days = useQueries({ queries: members.map((id) => studentTodayQuery(id)) });
  const [answersOf, setAnswersOf] = useState<Readonly<Record<string, Answers | undefined>>>({});
  const [isInTurn, onInTurn] = useState(false);
  const all = days.flatMap(({ data }): readonly FellowAtGate[] => {
    if (!data) return [];
    const answers = answersOf[data.student.id];
    return [{ today: data, answers, gate: gateDay(data, answers ?? {}, todaysDate) }];
  });
  const joined = all.filter(({ answers, gate }) => answers !== undefined && !gate.isShut);
  const joining = (steps: readonly RoutineStep[]): readonly Joining[] =>
    joined.map(({ today, gate }) => {
      const context = { ...dayContext(gate.day, studio, shelf, now), ...ofKind(routine.kind) };
      // What is set on the bench is set for the voice that leads.
      const plain = steps.map((step) => ({ ...step, settings: {} }));
      return { id: today.student.id, voice: today.student.voice, steps: layRoutine(plain, context).steps };
    });
  return {
    all,
    mayBegin: joined.every(({ gate }) => gate.outcome?.open === true),
    isInTurn,
    onInTurn,
    answer: (id, answers) => {
      setAnswersOf((before) => ({ ...before, [id]: answers }));
    },
    minutes: (wanted) => Math.min(wanted, ...joined.map(({ gate }) => minutesToday(gate.outcome?.length, wanted))),
    join: (run, steps, context, seconds) => {
      if (joined.length === 0) return run;
      const shared = withFellows(run, joining(steps), isInTurn);
      return isInTurn ? { ...shared, steps: refitRun(shared, steps, context, seconds).steps } : shared;
    },
    kept: (run) =>
      joined.map(({ today, gate }) => ({
        studentId: today.student.id,
        name: today.student.name,
        conditions: gate.outcome?.conditions ?? [],
        plan: plannedFor(run, today.student.id),
        runId: v7(),
      })),
  };
}
