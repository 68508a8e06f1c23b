import { isAlike, type RoutineStep } from '@soft-lark/core';

/** One step of two versions side by side. */
export interface ComparedStep {
  readonly id: string;
  readonly before: RoutineStep | undefined;
  readonly after: RoutineStep | undefined;
  readonly change: 'same' | 'changed' | 'moved' | 'added' | 'gone';
}

function isSame(a: RoutineStep, b: RoutineStep): boolean {
  const pinned = (a.locked ?? false) === (b.locked ?? false);
  return a.exerciseId === b.exerciseId && a.block === b.block && pinned && isAlike(a.settings, b.settings);
}

/** Which step stands before a step among those both versions have; what comes or goes beside it moves nothing. */
function beforeOf(steps: readonly RoutineStep[], id: string, shared: ReadonlySet<string>): string | undefined {
  const both = steps.filter((step) => shared.has(step.id));
  return both[both.findIndex((step) => step.id === id) - 1]?.id;
}

/**
 * Two versions step by step, in the order of the later one; steps that are gone stand where they were.
 *
 * @example a step that only changed its place among the others is `moved`, one with other settings, a pin or a block `changed`
 */
export function compareSteps(before: readonly RoutineStep[], after: readonly RoutineStep[]): readonly ComparedStep[] {
  const shared = new Set(before.filter(({ id }) => after.some((step) => step.id === id)).map(({ id }) => id));
  const rows = after.map((step): ComparedStep => {
    const old = before.find(({ id }) => id === step.id);
    if (!old) return { id: step.id, before: undefined, after: step, change: 'added' };
    const stays = beforeOf(before, step.id, shared) === beforeOf(after, step.id, shared);
    return { id: step.id, before: old, after: step, change: !isSame(old, step) ? 'changed' : stays ? 'same' : 'moved' };
  });
  for (const [index, step] of before.entries()) {
    if (shared.has(step.id)) continue;
    const follows = rows.findIndex(({ id }) => id === before[index - 1]?.id);
    rows.splice(follows + 1, 0, { id: step.id, before: step, after: undefined, change: 'gone' });
  }
  return rows;
}
