import type { Exercise, RoutinePatch, RoutineStep } from '@soft-lark/core';
import { useMemo, type Dispatch } from 'react';
import { useTranslation } from 'react-i18next';
import { offerUndo } from '../../ui/offer-undo.tsx';
import type { BenchAction } from './bench.reducer.ts';
import type { Selection } from './use-selection.ts';

/** What can be done with one step or with several at once; each is one change to undo. */
export interface OrderActs {
  readonly move: (stepId: string, to: number) => void;
  readonly shift: (stepIds: readonly string[], by: -1 | 1) => void;
  readonly copy: (stepIds: readonly string[]) => void;
  readonly block: (stepIds: readonly string[], name: string | undefined) => void;
  readonly lock: (stepIds: readonly string[], isLocked: boolean) => void;
  readonly remove: (stepIds: readonly string[]) => void;
}

/** The acts on the order, with their words for undo. */
export function useOrderActs(
  steps: readonly RoutineStep[],
  shelf: ReadonlyMap<string, Exercise>,
  { choose }: Pick<Selection, 'choose'>,
  act: Dispatch<BenchAction>,
): OrderActs {
  const { t } = useTranslation();
  return useMemo(() => {
    const namesOf = (stepIds: readonly string[]): string => {
      const step = stepIds.length === 1 ? steps.find(({ id }) => id === stepIds[0]) : undefined;
      return step
        ? (shelf.get(step.exerciseId)?.name ?? t('bench.did.step'))
        : t('bench.several', { count: stepIds.length });
    };
    const patch = (what: string, patches: readonly RoutinePatch[]): void => {
      act({ type: 'patch', what, patches });
    };
    return {
      move: (stepId, to) => {
        patch(t('bench.did.move', { name: namesOf([stepId]) }), [{ op: 'move', stepId, to }]);
      },
      shift: (stepIds, by) => {
        patch(t('bench.did.move', { name: namesOf(stepIds) }), [{ op: 'shift', stepIds, by }]);
      },
      copy: (stepIds) => {
        patch(t('bench.did.copy', { name: namesOf(stepIds) }), [{ op: 'copy', stepIds }]);
      },
      block: (stepIds, name) => {
        const what = name === undefined ? t('bench.did.unblock') : t('bench.did.block', { name });
        patch(what, [{ op: 'block', stepIds, ...(name !== undefined && { name }) }]);
      },
      lock: (stepIds, isLocked) => {
        patch(t(isLocked ? 'bench.did.lock' : 'bench.did.unlock', { name: namesOf(stepIds) }), [
          { op: 'lock', stepIds, isLocked },
        ]);
      },
      remove: (stepIds) => {
        const last = steps.findLastIndex(({ id }) => stepIds.includes(id));
        const rest = steps.filter(({ id }) => !stepIds.includes(id));
        patch(
          t('bench.did.remove', { name: namesOf(stepIds) }),
          stepIds.map((stepId) => ({ op: 'remove', stepId })),
        );
        choose((rest[last - stepIds.length + 1] ?? rest.at(-1))?.id);
        offerUndo({
          message: t('bench.removed', { count: stepIds.length, name: namesOf(stepIds) }),
          label: t('app.undo'),
          undo: () => {
            act({ type: 'undo' });
            choose(stepIds[0]);
          },
        });
      },
    };
  }, [steps, shelf, choose, act, t]);
}
