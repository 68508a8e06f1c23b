import { currentKey, currentStep } from './run-queries.ts';
import type { SungKey } from './run.schema.ts';
import type { RunState } from './run.types.ts';

/** The key being sung, written down with its marks; once only, however often it is sent. */
export function enter(state: RunState, id: string, outcome: SungKey['outcome']): RunState {
  const step = currentStep(state);
  const key = currentKey(state);
  if (!step || !key || state.sung.some((sung) => sung.id === id)) return { ...state, marks: [] };
  const { tonic, leg, low, high, tempo, help, manner } = key;
  const sung: SungKey = {
    id,
    stepId: step.stepId,
    exerciseId: step.exerciseId,
    tonic,
    leg,
    low,
    high,
    tempo,
    outcome,
    marks: state.marks,
    ...(help && { help }),
    ...(manner !== undefined && { manner }),
  };
  return { ...state, marks: [], sung: [...state.sung, sung] };
}
