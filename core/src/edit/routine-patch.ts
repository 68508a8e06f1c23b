import { fittedSteps } from '../fit/index.ts';
import type { RoutineContext, RoutineStep, StepSettings } from '../routine/index.ts';

/** A change to a routine as data: a fix of the review, a swap, a fit. The page applies it and takes it back. */
export type RoutinePatch =
  | {
      readonly op: 'set';
      readonly stepId: string;
      readonly settings: StepSettings;
      readonly clear?: readonly (keyof StepSettings)[];
    }
  | { readonly op: 'remove'; readonly stepId: string }
  | { readonly op: 'add'; readonly exerciseId: string; readonly at: number; readonly settings?: StepSettings }
  | { readonly op: 'move'; readonly stepId: string; readonly to: number }
  | { readonly op: 'swap'; readonly stepId: string; readonly exerciseId: string }
  /** Steps once more, right after the last of them. */
  | { readonly op: 'copy'; readonly stepIds: readonly string[] }
  /** Steps moved by one place, together; they end up standing next to each other. */
  | { readonly op: 'shift'; readonly stepIds: readonly string[]; readonly by: -1 | 1 }
  /** Steps brought together as a block; without a name the block is taken apart. */
  | { readonly op: 'block'; readonly stepIds: readonly string[]; readonly name?: string }
  /** Steps pinned, or let go: a draft and a fit leave pinned ones as they are. */
  | { readonly op: 'lock'; readonly stepIds: readonly string[]; readonly isLocked: boolean }
  | { readonly op: 'minutes'; readonly minutes: number }
  | { readonly op: 'steps'; readonly steps: readonly RoutineStep[] }
  /** Fits the routine to its minutes, dropping steps where there is no other way: worked out when it is applied. */
  | { readonly op: 'fit' };

/** What a patch changes of a routine. */
export interface Patched {
  readonly steps: readonly RoutineStep[];
  readonly minutes: number;
}

function settled(step: RoutineStep, { settings, clear = [] }: Extract<RoutinePatch, { op: 'set' }>): RoutineStep {
  const merged = { ...step.settings, ...settings };
  const kept = Object.entries(merged).filter(([name]) => !clear.some((gone) => gone === name));
  return { ...step, settings: Object.fromEntries(kept) };
}

/** Steps of a list brought together where the first of them stands, and where that is. */
function gathered(
  steps: readonly RoutineStep[],
  stepIds: readonly string[],
): { readonly chosen: readonly RoutineStep[]; readonly others: readonly RoutineStep[]; readonly at: number } {
  const chosen = steps.filter(({ id }) => stepIds.includes(id));
  const at = steps.findIndex(({ id }) => id === chosen[0]?.id);
  return { chosen, others: steps.filter(({ id }) => !stepIds.includes(id)), at };
}

function inBlock({ id, exerciseId, settings, locked }: RoutineStep, name: string | undefined): RoutineStep {
  const step = { id, exerciseId, settings, ...(locked !== undefined && { locked }) };
  return name === undefined ? step : { ...step, block: name };
}

/**
 * A routine after a patch. A step that is not there any more is passed over, so that an old patch does no harm.
 *
 * @param newId gives a step that is added its id
 * @param context the day a fit is worked out for; without it a fit changes nothing
 */
export function applyPatch<T extends Patched>(
  routine: T,
  patch: RoutinePatch,
  newId: () => string,
  context?: RoutineContext,
): T {
  const { steps } = routine;
  switch (patch.op) {
    case 'minutes':
      return { ...routine, minutes: patch.minutes };
    case 'steps':
      return { ...routine, steps: patch.steps };
    case 'fit':
      return context ? { ...routine, steps: fittedSteps(steps, routine.minutes * 60, context) } : routine;
    case 'remove':
      return { ...routine, steps: steps.filter(({ id }) => id !== patch.stepId) };
    case 'set':
      return { ...routine, steps: steps.map((step) => (step.id === patch.stepId ? settled(step, patch) : step)) };
    case 'swap': {
      // What was set by hand was set for the other exercise.
      const swapped = steps.map((step) =>
        step.id === patch.stepId ? { ...step, exerciseId: patch.exerciseId, settings: {} } : step,
      );
      return { ...routine, steps: swapped };
    }
    case 'add': {
      const added = { id: newId(), exerciseId: patch.exerciseId, settings: patch.settings ?? {} };
      return { ...routine, steps: [...steps.slice(0, patch.at), added, ...steps.slice(patch.at)] };
    }
    case 'copy': {
      const { chosen } = gathered(steps, patch.stepIds);
      const after = steps.findIndex(({ id }) => id === chosen.at(-1)?.id) + 1;
      const copies = chosen.map(({ exerciseId, settings, block }) =>
        inBlock({ id: newId(), exerciseId, settings }, block),
      );
      return { ...routine, steps: [...steps.slice(0, after), ...copies, ...steps.slice(after)] };
    }
    case 'shift': {
      const { chosen, others, at } = gathered(steps, patch.stepIds);
      const to = Math.max(0, Math.min(others.length, at + patch.by));
      return { ...routine, steps: [...others.slice(0, to), ...chosen, ...others.slice(to)] };
    }
    case 'block': {
      const { chosen, others, at } = gathered(steps, patch.stepIds);
      const named = chosen.map((step) => inBlock(step, patch.name));
      return { ...routine, steps: [...others.slice(0, at), ...named, ...others.slice(at)] };
    }
    case 'lock':
      return {
        ...routine,
        steps: steps.map((step) => (patch.stepIds.includes(step.id) ? { ...step, locked: patch.isLocked } : step)),
      };
    case 'move': {
      const moved = steps.find(({ id }) => id === patch.stepId);
      if (!moved) return routine;
      const others = steps.filter(({ id }) => id !== patch.stepId);
      return { ...routine, steps: [...others.slice(0, patch.to), moved, ...others.slice(patch.to)] };
    }
  }
}
