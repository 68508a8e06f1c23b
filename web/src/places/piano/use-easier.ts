import { currentStep, runStepOf, type Exercise, type RunStep } from '@soft-lark/core';
import { useMemo } from 'react';
import { v7 } from 'uuid';
import { useLay } from '../../api/lay.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import type { KeptRun } from '../../runs/run-store.ts';
import { useNow } from '../../ui/clock.ts';

/** The first easier relative of the step that is on that can be sung today. */
export function useEasier(run: KeptRun, today: StudentToday, shelf: ReadonlyMap<string, Exercise>): RunStep | null {
  const lay = useLay();
  const now = useNow(600);
  const exercise = shelf.get(currentStep(run.state)?.exerciseId ?? '');
  return useMemo(() => {
    const relatives = exercise?.relatives.filter(({ as }) => as === 'easier' || as === 'shorter') ?? [];
    const steps = relatives.map(({ id }) => ({ id: v7(), exerciseId: id, settings: {} }));
    const day = { ...today, conditions: [...run.conditions] };
    const found = lay({ steps, kind: 'lesson' }, day, shelf, now).steps.find(({ problem }) => !problem);
    return found ? runStepOf(found) : null;
  }, [exercise, today, run.conditions, lay, shelf, now]);
}
