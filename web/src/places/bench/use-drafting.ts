import {
  reachedIn,
  type DraftContext,
  type DraftedStep,
  type Missing,
  type PassedOver,
  type RoutineContext,
  type RoutineStep,
} from '@soft-lark/core';
import { useQueryClient } from '@tanstack/react-query';
import { startTransition, useCallback, useState } from 'react';
import { v7 } from 'uuid';
import { runQuery, latestRunsQuery } from '../../api/runs.queries.ts';
import { draftBeside } from '../../workers/draft.ts';

/** What a draft said of its steps, by the id of the step. */
type DraftReasons = ReadonlyMap<string, Pick<DraftedStep, 'exerciseId' | 'reasons' | 'passedOver'>>;

export interface Drafting {
  /** Drafts round the steps that are pinned; each time another. */
  readonly draft: (steps: readonly RoutineStep[], minutes: number) => Promise<readonly RoutineStep[]>;
  readonly isBusy: boolean;
  readonly reasons: DraftReasons;
  /** What the last draft could not take, each with its reason. */
  readonly leftOut: readonly PassedOver[];
  /** What a whole warm-up has and the last draft could not be given. */
  readonly missing: readonly Missing[];
}

/** What was easy twice was so on two ordinary days, which need not be the last two. */
const RUNS_LOOKED_AT = 4;

/** Drafts for a student: what was sung lately comes back, what is on the bench makes room. */
export function useDrafting(
  studentId: string,
  context: RoutineContext,
  ease: DraftContext['ease'],
  songNeeds: readonly string[] = [],
): Drafting {
  const queries = useQueryClient();
  const [isBusy, setBusy] = useState(false);
  const [reasons, setReasons] = useState<DraftReasons>(new Map());
  const [leftOut, setLeftOut] = useState<readonly PassedOver[]>([]);
  const [missing, setMissing] = useState<readonly Missing[]>([]);
  const recentRuns = useCallback(async (): Promise<Pick<DraftContext, 'recent' | 'reached'>> => {
    const runs = await queries.query(latestRunsQuery(studentId, RUNS_LOOKED_AT));
    const details = await Promise.all(runs.map(({ id }) => queries.query({ ...runQuery(id), staleTime: 60_000 })));
    // What was planned and passed over did not happen: it is not known, and has nowhere to come back from.
    const recent = details.map(({ plan }) =>
      plan.map(({ exerciseId }) => exerciseId).filter((exerciseId) => context.known.has(exerciseId)),
    );
    return { recent, reached: reachedIn(details) };
  }, [queries, studentId, context.known]);

  const draft = useCallback(
    async (steps: readonly RoutineStep[], minutes: number): Promise<readonly RoutineStep[]> => {
      setBusy(true);
      try {
        // What was sung lately only turns the draft a little: without a connection it is drafted all the same.
        const runs = await recentRuns().catch(() => ({}));
        const pinned = steps.filter(({ locked }) => locked);
        const drafted = await draftBeside({
          ...context,
          minutes,
          pinned,
          songNeeds,
          ...(ease && { ease }),
          ...runs,
          instead: steps.filter(({ locked }) => !locked).map(({ exerciseId }) => exerciseId),
          seed: Math.floor(performance.timeOrigin + performance.now()) % 1_000_000,
        });
        const named = drafted.steps.map((step) => (step.locked ? step : { ...step, id: v7() }));
        startTransition(() => {
          setReasons(new Map(named.map((step) => [step.id, step])));
          setLeftOut(drafted.leftOut);
          setMissing(drafted.missing);
        });
        return named.map(({ id, exerciseId, settings, locked, block }) => ({
          id,
          exerciseId,
          settings,
          ...(locked && { locked }),
          ...(block !== undefined && { block }),
        }));
      } finally {
        setBusy(false);
      }
    },
    [context, ease, recentRuns, songNeeds],
  );
  return { draft, isBusy, reasons, leftOut, missing };
}
