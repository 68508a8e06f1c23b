import {
  applyPatch,
  placeForStep,
  type Exercise,
  type RoutineKind,
  type RoutinePatch,
  type RoutineStep,
  type StepSettings,
} from '@soft-lark/core';
import { apply, create, current, type Patches } from 'mutative';
import { v7 } from 'uuid';
import { stepsOf, type Routine } from '../../api/routines.queries.ts';

/** What of a routine is edited on the bench. */
export type EditedRoutine = Pick<Routine, 'name' | 'kind' | 'minutes' | 'steps'>;

interface Change {
  /** Changes of the same thing right after each other are undone as one. */
  readonly key: string;
  readonly action: BenchAction;
  readonly redo: Patches;
  readonly undo: Patches;
}

export interface BenchState {
  readonly routine: EditedRoutine;
  /** The routine as the server had it last: what another window began with as well. */
  readonly base: EditedRoutine;
  readonly past: readonly Change[];
  readonly future: readonly Change[];
}

export type BenchAction =
  | { readonly type: 'name'; readonly name: string }
  | { readonly type: 'minutes'; readonly minutes: number }
  | { readonly type: 'kind'; readonly kind: RoutineKind }
  | { readonly type: 'add'; readonly steps: readonly RoutineStep[]; readonly shelf: ReadonlyMap<string, Exercise> }
  | {
      readonly type: 'set';
      readonly stepId: string;
      readonly settings: StepSettings;
      readonly clear?: readonly (keyof StepSettings)[];
    }
  | {
      readonly type: 'patch';
      readonly patches: readonly RoutinePatch[];
      readonly what: string;
      /** What the routine is called from then on. */
      readonly name?: string;
    }
  | { readonly type: 'undo' }
  | { readonly type: 'redo' }
  /** What another window saved meanwhile, brought together with what is edited here. */
  | { readonly type: 'merge'; readonly routine: EditedRoutine; readonly theirs: EditedRoutine }
  | { readonly type: 'saved'; readonly routine: EditedRoutine }
  | { readonly type: 'replace'; readonly routine: EditedRoutine };

export function editedOf({ name, kind, minutes, steps }: EditedRoutine): EditedRoutine {
  return { name, kind, minutes, steps };
}

/** A bench on a routine; `base` where it goes on with an edit that was kept. */
export function startBench({
  routine,
  base = routine,
}: {
  readonly routine: EditedRoutine;
  readonly base?: EditedRoutine;
}): BenchState {
  return { routine: editedOf(routine), base: editedOf(base), past: [], future: [] };
}

function edit(draft: EditedRoutine, action: BenchAction): void {
  switch (action.type) {
    case 'name':
      draft.name = action.name;
      break;
    case 'minutes':
      draft.minutes = action.minutes;
      break;
    case 'kind':
      draft.kind = action.kind;
      break;
    case 'add':
      for (const step of action.steps)
        draft.steps.splice(placeForStep(draft.steps, step.exerciseId, action.shelf), 0, ...stepsOf([step]));
      break;
    case 'set': {
      const step = draft.steps.find(({ id }) => id === action.stepId);
      if (!step) break;
      Object.assign(step.settings, action.settings);
      for (const name of action.clear ?? []) Reflect.deleteProperty(step.settings, name);
      break;
    }
    case 'patch': {
      const { steps, minutes } = action.patches.reduce((routine, patch) => applyPatch(routine, patch, v7), {
        steps: current(draft).steps,
        minutes: draft.minutes,
      });
      draft.minutes = minutes;
      draft.steps = stepsOf(steps);
      if (action.name !== undefined) draft.name = action.name;
      break;
    }
    case 'merge':
      Object.assign(draft, { ...action.routine, steps: stepsOf(action.routine.steps) });
      break;
    case 'undo':
    case 'redo':
    case 'saved':
    case 'replace':
      break;
  }
}

function keyOf(action: BenchAction): string {
  if (action.type === 'set') return `set ${action.stepId} ${Object.keys(action.settings).join()}`;
  return action.type === 'name' || action.type === 'minutes' ? action.type : '';
}

function step(state: BenchState, from: 'past' | 'future'): BenchState {
  const change = state[from].at(-1);
  if (!change) return state;
  const to = from === 'past' ? 'future' : 'past';
  return {
    ...state,
    routine: apply(state.routine, from === 'past' ? change.undo : change.redo),
    [from]: state[from].slice(0, -1),
    [to]: [...state[to], change],
  };
}

/** Every edit of a routine as patches, so that it can be taken back and done again. */
export function benchReducer(state: BenchState, action: BenchAction): BenchState {
  if (action.type === 'undo') return step(state, 'past');
  if (action.type === 'redo') return step(state, 'future');
  if (action.type === 'replace') return startBench({ routine: action.routine });
  if (action.type === 'saved') return { ...state, base: editedOf(action.routine) };
  const [routine, redo, undo] = create(
    state.routine,
    (draft) => {
      edit(draft, action);
    },
    { enablePatches: true },
  );
  if (redo.length === 0) return action.type === 'merge' ? { ...state, base: editedOf(action.theirs) } : state;
  const key = keyOf(action);
  const last = state.past.at(-1);
  const joins = key !== '' && last?.key === key && state.future.length === 0;
  const change: Change = joins
    ? { key, action, redo: [...last.redo, ...redo], undo: [...undo, ...last.undo] }
    : { key, action, redo, undo };
  const base = action.type === 'merge' ? editedOf(action.theirs) : state.base;
  return { routine, base, past: [...(joins ? state.past.slice(0, -1) : state.past), change], future: [] };
}
