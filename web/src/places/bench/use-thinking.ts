import { fittedSteps, type Exercise, type Fix, type RoutineContext, type RoutineStep } from '@soft-lark/core';
import { startTransition, useDeferredValue, useMemo, useState, type Dispatch } from 'react';
import { useTranslation } from 'react-i18next';
import type { Mute } from '../../api/mutes.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { say } from '../../text/say.ts';
import type { BenchAction, EditedRoutine } from './bench.reducer.ts';
import { changeWords } from './fit-words.ts';
import { useAskedDraft } from './use-asked-draft.ts';
import type { Drafting } from './use-drafting.ts';
import { useFitted } from './use-fitted.ts';
import { useWorking, type WorkedOut } from './use-working.ts';

/** What the bench works out by itself while a routine is edited. */
export interface Thinking {
  /** What flight and clock show: the minutes under the finger, today's condition, at once. */
  readonly shown: WorkedOut;
  /** What lies below the flight: the same, but a finger or the day may run ahead of it by a moment. */
  readonly settled: WorkedOut;
  readonly context: RoutineContext;
  /** What the minutes under the finger would change. */
  readonly change: string;
  /** Rules that are muted for this routine, this student or the studio. */
  readonly mutes: readonly Mute[];
  readonly drafting: Drafting;
  readonly slide: (minutes: number) => void;
  readonly slid: (minutes: number) => void;
  readonly draft: () => Promise<void>;
  readonly fix: (fix: Fix) => void;
}

/** Lays a routine out, fits it to minutes that are being tried, reviews it, and drafts another. */
export function useThinking(
  routineId: string,
  routine: EditedRoutine,
  today: StudentToday,
  shelf: ReadonlyMap<string, Exercise>,
  now: Date,
  act: Dispatch<BenchAction>,
): Thinking {
  const { t } = useTranslation();
  const { steps, minutes } = routine;
  const { context, mutes, drafting, workOut } = useWorking(routineId, routine.kind, today, shelf, now);
  const [preview, setPreview] = useState<WorkedOut | null>(null);
  const onTheBench = useMemo(() => workOut({ minutes, steps }), [workOut, minutes, steps]);
  const shown = preview ?? onTheBench;
  const later = useDeferredValue(shown);
  // What is edited by hand answers at once everywhere, or a letter typed into a field would be lost.
  const settled = preview || later.steps === steps ? later : shown;
  const draft = useAskedDraft(routine, context, drafting, act);
  const { fitted, keep } = useFitted(routine, onTheBench.laid.seconds, context);
  return {
    shown,
    settled,
    context,
    change: preview ? changeWords(steps, preview.steps, shelf, t) : '',
    mutes,
    drafting,
    slide: (wanted) => {
      setPreview(wanted === minutes ? null : workOut({ minutes: wanted, steps: fitted(wanted) }));
    },
    slid: (wanted) => {
      // The flight stands as it was tried until the rest is drawn.
      startTransition(() => {
        setPreview(null);
        if (wanted === minutes) return;
        act({
          type: 'patch',
          what: t('bench.think.fitTo', { count: wanted }),
          patches: [
            { op: 'minutes', minutes: wanted },
            { op: 'steps', steps: keep(wanted) },
          ],
        });
      });
    },
    draft,
    fix: ({ said, patch }) => {
      const isOver = onTheBench.laid.seconds > minutes * 60;
      const fit = (): readonly RoutineStep[] => (isOver ? fittedSteps(steps, minutes * 60, context) : fitted(minutes));
      const worked = patch.op === 'fit' ? ({ op: 'steps', steps: fit() } as const) : patch;
      act({ type: 'patch', what: say(said), patches: [worked] });
    },
  };
}
