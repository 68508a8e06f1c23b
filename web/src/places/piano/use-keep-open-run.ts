import { useQueryClient } from '@tanstack/react-query';
import { changeRoutine, removeRoutine, type Routine } from '../../api/routines.queries.ts';
import type { KeptRun } from '../../runs/run-store.ts';

/** The exercises of a run without a plan as steps of a routine, each from the key it was begun in. */
function stepsSung({ state }: KeptRun): Routine['steps'] {
  return state.steps.map(({ stepId, exerciseId }) => {
    const first = state.sung.find((key) => key.stepId === stepId && key.outcome === 'sung');
    return { id: stepId, exerciseId, settings: { ...(first && { start: first.tonic }) } };
  });
}

/**
 * What becomes of the empty routine a run without a plan was begun with: under a name it keeps what was sung, without one
 * it goes.
 */
export function useKeepOpenRun(run: KeptRun, routine: Routine): (name: string | null) => Promise<void> {
  const queries = useQueryClient();
  return async (name) => {
    const { kind, minutes, version } = routine;
    const kept = name?.trim() ?? '';
    if (kept === '') await removeRoutine(routine.id);
    else await changeRoutine(routine.id, { name: kept, kind, minutes, version, steps: stepsSung(run) });
    await queries.invalidateQueries({ queryKey: ['routines'], refetchType: 'inactive' });
    await queries.invalidateQueries({ queryKey: ['today'] });
  };
}
