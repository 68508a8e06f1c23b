import { useQuery, useQueryClient } from '@tanstack/react-query';
import {
  minutesToday,
  shortenedForToday,
  startRun,
  type Exercise,
  type GateOutcome,
  type LaidRoutine,
  type RoutineContext,
} from '@soft-lark/core';
import { useEffect, useMemo, useState } from 'react';
import { v7 } from 'uuid';
import { useLocking } from '../../api/gate.queries.ts';
import { useLay, useRoutineContext } from '../../api/lay.ts';
import type { Routine } from '../../api/routines.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { endRun, keepRun, type KeptRun } from '../../runs/run-store.ts';
import { loadPiano, wakePiano } from '../../sound/piano.ts';
import { useNow } from '../../ui/clock.ts';
import { gateDay } from './gate-day.ts';
import type { Answers } from './gate-questions.tsx';
import { pitchesOf, plannedSteps } from './run-plan.ts';
import { useFellows, type FellowsAtGate } from './use-fellows.ts';

export interface GateProps {
  readonly routine: Routine;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
  readonly broken: KeptRun | undefined;
  readonly onBegin: (runId: string) => void;
}

/** What the gate comes to as far as it is answered. */
export interface GateState {
  readonly answers: Answers;
  readonly answer: (next: Answers) => void;
  /** What the answers come to; nothing while one is missing. */
  readonly outcome: GateOutcome | null;
  readonly context: RoutineContext;
  /** The routine as it stood before the answers, and as they leave it. */
  readonly before: LaidRoutine;
  readonly after: LaidRoutine;
  readonly isCut: boolean;
  readonly isEmpty: boolean;
  /** Locked until the teacher opens it again. */
  readonly isShut: boolean;
  /** A run that hurt today leaves gentle work for today. */
  readonly isSpared: boolean;
  /** Those of the group who sing along. */
  readonly fellows: FellowsAtGate;
  readonly mayBegin: boolean;
  /** Of the run as it would begin, turns of several singers in it. */
  readonly seconds: number;
  readonly begin: () => void;
}

/** The answers of the gate, what they leave of the routine, and the beginning of the run. */
export function useGate({ routine, today, shelf, broken, onBegin }: GateProps): GateState {
  const queries = useQueryClient();
  const now = useNow();
  const lay = useLay();
  const { student } = today;
  const setCondition = useCondition(student.id);
  const locking = useLocking(student.id);
  const [answers, setAnswers] = useState<Answers>({});
  const todaysDate = useQuery(sessionQuery).data?.today ?? '';
  const { outcome, day, isShut, isSpared, isReferred } = gateDay(today, answers, todaysDate);
  const fellows = useFellows(routine, shelf);
  const context = useRoutineContext(day, shelf, now, routine.kind);
  const minutes = fellows.minutes(minutesToday(outcome?.length, routine.minutes));
  const isCut = minutes < routine.minutes;
  const steps = isCut ? shortenedForToday(routine.steps, minutes, context) : routine.steps;
  const before = useMemo(() => lay(routine, today, shelf, now), [lay, routine, today, shelf, now]);
  const laid = lay({ ...routine, steps }, day, shelf, now);
  const isOpen = routine.steps.length === 0;
  const plan = fellows.join(startRun(laid, isOpen), steps, context, minutes * 60);
  const isEmpty = plan.steps.length === 0 && !isOpen;

  // The first keys are wanted before the last answer.
  const pitches = pitchesOf(plan).join(' ');
  useEffect(() => {
    void loadPiano(pitches.split(' ').map(Number));
  }, [pitches]);

  const answer = (next: Answers): void => {
    setAnswers(next);
    const { level, open } = gateDay(today, next, todaysDate).outcome ?? { level: 'clear', open: true };
    if (!open && (level === 'urgent' || level === 'not-today')) locking.lock(level);
  };

  const begin = (): void => {
    if (!outcome?.open || !fellows.mayBegin) return;
    void wakePiano();
    if (broken) endRun(broken.id, new Date());
    setCondition(outcome.conditions);
    if (outcome.level === 'see-someone' && !isReferred) locking.lock('see-someone');
    const kept = fellows.kept(plan);
    const run: KeptRun = {
      id: v7(),
      studentId: student.id,
      routineId: routine.id,
      routineName: routine.name,
      routineVersion: routine.version,
      startedAt: new Date().toISOString(),
      conditions: outcome.conditions,
      plan: plannedSteps(plan),
      state: plan,
      note: '',
      ...(kept.length > 0 && { fellows: kept }),
      isClosed: false,
      revision: 1,
      sentRevision: 0,
    };
    keepRun(run);
    void queries.cancelQueries({ queryKey: ['routines', routine.id] });
    onBegin(run.id);
  };

  const mayBegin = outcome?.open === true && !isEmpty && fellows.mayBegin;
  const seconds = plan.steps.reduce((sum, step) => sum + step.seconds, 0);
  return {
    answers,
    answer,
    outcome,
    context,
    before,
    after: laid,
    isCut,
    isEmpty,
    isShut,
    isSpared,
    fellows,
    mayBegin,
    seconds,
    begin,
  };
}
