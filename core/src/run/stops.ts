import { STOP_MARKS } from '../past/index.ts';
import { enter } from './enter-key.ts';
import { singersMeant } from './fellows.ts';
import { currentStep } from './run-queries.ts';
import type { StopCause } from './run.schema.ts';
import type { RunAction, RunState } from './run.types.ts';

/** A warm-up is never hard work: effort over this, of ten, is a stop. */
const MOST_EFFORT = 4;

/** Dizziness ends breath work for the day. */
function withoutBreath(state: RunState): RunState {
  const steps = state.steps.filter((step, index) => index <= state.stepIndex || step.kind !== 'breath');
  return { ...state, steps };
}

/** A mark on the key being sung, or off it again; one of those that stop stops. */
export function mark(state: RunState, action: Extract<RunAction, { type: 'mark' }>): RunState {
  const marks = state.marks.includes(action.mark)
    ? state.marks.filter((other) => other !== action.mark)
    : [...state.marks, action.mark];
  const marked = { ...state, marks };
  if (!STOP_MARKS.has(action.mark)) return marked;
  return stop(marked, action.mark, action.id);
}

/** Whom marks are for from here on. */
export function markedSinger(state: RunState, singer: string | null): RunState {
  const rest = { ...state };
  delete rest.markedSinger;
  return singer === null ? rest : { ...rest, markedSinger: singer };
}

/** Stops the step; the key being sung is held with its marks, and kept when the stop is gone on from. */
function stop(state: RunState, cause: StopCause, id: string): RunState {
  const step = currentStep(state);
  const singers = singersMeant(state);
  const stops = [...state.stops, { stepId: step?.stepId ?? '', mark: cause, ...(singers.length > 0 && { singers }) }];
  return { ...state, phase: 'stopped', stops, ...(state.begun && { heldKeyId: id }) };
}

function withoutHeld(state: RunState): RunState {
  const rest = { ...state };
  delete rest.heldKeyId;
  return rest;
}

/** The way on from a stop: the key that was held is kept, and dizziness ends breath work for the day. */
export function goneOn(state: RunState): RunState {
  const { heldKeyId } = state;
  if (state.phase !== 'stopped') return state;
  const rest = withoutHeld(state);
  const kept = heldKeyId === undefined ? rest : enter(rest, heldKeyId, 'sung');
  return state.stops.at(-1)?.mark === 'dizzy' ? withoutBreath(kept) : kept;
}

/** A stop that was pressed by mistake was never there: the key that was held is sung on. */
export function takenBack(state: RunState): RunState {
  const rest = withoutHeld(state);
  const wasEffort = state.stops.at(-1)?.mark === 'effort';
  const marks = state.marks.filter((name) => !STOP_MARKS.has(name) && !(wasEffort && name === 'strain'));
  return { ...rest, marks, phase: 'singing', stops: state.stops.slice(0, -1) };
}

/** Rising effort is strain on the key it was felt on. */
export function effort(state: RunState, { level, id }: Extract<RunAction, { type: 'effort' }>): RunState {
  if (level <= MOST_EFFORT) return state;
  const marks = state.marks.includes('strain') ? state.marks : [...state.marks, 'strain' as const];
  return stop({ ...state, marks }, 'effort', id);
}
