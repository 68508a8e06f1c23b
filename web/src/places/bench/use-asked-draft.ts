import type { RoutineContext } from '@soft-lark/core';
import { startTransition, useEffect, useEffectEvent, type Dispatch } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import type { BenchAction, EditedRoutine } from './bench.reducer.ts';
import { draftName } from './draft-name.ts';
import type { Drafting } from './use-drafting.ts';

/** Drafts what is on the bench anew; whoever asked for a draft, or for more, on the way here gets it, once. */
export function useAskedDraft(
  { steps, minutes, name: called, kind }: EditedRoutine,
  context: RoutineContext,
  drafting: Drafting,
  act: Dispatch<BenchAction>,
): () => Promise<void> {
  const { t } = useTranslation();
  /** Exercises for the minutes that are left; what is there stays, and where it stands. */
  const fill = async (): Promise<void> => {
    const filled = await drafting.draft(
      steps.map((step) => ({ ...step, locked: true })),
      minutes,
    );
    const wasLocked = new Map(steps.map(({ id, locked }) => [id, locked]));
    const unlocked = filled.map(({ locked, ...step }) => ({
      ...step,
      ...(locked && wasLocked.get(step.id) && { locked }),
    }));
    startTransition(() => {
      act({ type: 'patch', what: t('bench.think.fill'), patches: [{ op: 'steps', steps: unlocked }] });
    });
  };
  const draft = async (): Promise<void> => {
    const drafted = await drafting.draft(steps, minutes);
    // Another bench altogether: it is drawn in pieces, and the page stays free meanwhile.
    startTransition(() => {
      const name = called === t('bench.untitled') && draftName(drafted, context, kind, t);
      act({
        type: 'patch',
        what: t('bench.think.draft'),
        patches: [{ op: 'steps', steps: drafted }],
        ...(name && { name }),
      });
    });
  };
  const [address, setAddress] = useSearchParams();
  const isAsked = address.has('draft') || address.has('fill');
  const draftOnce = useEffectEvent(() => {
    const wants = address.has('fill') ? fill : draft;
    setAddress({}, { replace: true });
    if (wants === fill || steps.length === 0) void wants();
  });
  useEffect(() => {
    if (isAsked) draftOnce();
  }, [isAsked]);
  return draft;
}
