import { broughtHome, layRoutine, type LaidRoutine } from '@soft-lark/core';
import { useMemo } from 'react';
import { useRoutineContext } from '../../api/lay.ts';
import type { Routine } from '../../api/routines.queries.ts';
import type { Shelf } from '../../api/shelf.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { useNow } from '../../ui/clock.ts';
import type { Reader } from './readers.ts';

export interface SheetProps {
  readonly routine: Routine;
  readonly today: StudentToday;
  readonly shelf: Shelf;
  readonly reader: Reader;
}

/** A routine as its reader sings it: the student alone at home, inside the limits of home. */
export function useLaidFor({ routine, today, shelf, reader }: SheetProps): LaidRoutine {
  const now = useNow(600);
  const kind = reader === 'student' ? 'home' : routine.kind;
  const context = useRoutineContext(today, shelf, now, kind);
  return useMemo(() => {
    const steps = reader === 'student' ? broughtHome(routine.steps, context) : routine.steps;
    return layRoutine(steps, context);
  }, [routine.steps, context, reader]);
}
