import { runStepOf, type Exercise } from '@soft-lark/core';
import { v7 } from 'uuid';
import { useLay } from '../../api/lay.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import type { KeptRun } from '../../runs/run-store.ts';
import { useNow } from '../../ui/clock.ts';
import type { Running } from './use-run.ts';

export interface CallUp {
  readonly running: Running;
  readonly run: KeptRun;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
}

/**
 * Puts an exercise that was not planned into the run, laid for this student on this day.
 *
 * @returns what does so; it says whether the exercise can be sung today
 */
export function useCallUp({ running, run, today, shelf }: CallUp): (exerciseId: string) => boolean {
  const lay = useLay();
  const now = useNow(600);
  return (exerciseId) => {
    const day = { ...today, conditions: [...run.conditions] };
    const steps = [{ id: v7(), exerciseId, settings: {} }];
    const [laid] = lay({ steps, kind: 'lesson' }, day, shelf, now).steps;
    if (!laid || laid.problem) return false;
    running.add(runStepOf(laid));
    return true;
  };
}
