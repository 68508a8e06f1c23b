import {
  fitRoutine,
  fittedSteps,
  layRoutine,
  reviewRoutine,
  songNeeds,
  type Exercise,
  type Finding,
  type FittedRoutine,
  type Fix,
  type LaidRoutine,
  type RoutineContext,
  type RoutineStep,
  type Severity,
} from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import {
  startTransition,
  useCallback,
  useDeferredValue,
  useEffect,
  useEffectEvent,
  useMemo,
  useState,
  type Dispatch,
} from 'react';
import { useTranslation } from 'react-i18next';
import { say } from '../../text/say.ts';
import { useSearchParams } from 'react-router';
import { useRoutineContext } from '../../api/lay.ts';
import { mutesQuery, type Mute } from '../../api/mutes.queries.ts';
import { historyFrom, historyQuery, usePieceInHand } from '../../api/history.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import type { BenchAction, EditedRoutine } from './bench.reducer.ts';
import { draftName } from './draft-name.ts';
import { changeWords } from './fit-words.ts';
import { marksOf } from './marks-of.ts';
import { useDrafting, type Drafting } from './use-drafting.ts';

/** A routine worked out: that of the bench, or the one under the finger. */
export interface WorkedOut {
  readonly minutes: number;
  readonly steps: readonly RoutineStep[];
  readonly laid: LaidRoutine;
  readonly findings: readonly Finding[];
  /** Steps the review has something to say about. */
  readonly marks: ReadonlyMap<string, Severity>;
}

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

/** A fit that stands on the bench, and the routine it was made of. */
interface Fitted {
  readonly of: { readonly steps: readonly RoutineStep[]; readonly minutes: number };
  readonly steps: readonly RoutineStep[];
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
  const context = useRoutineContext(today, shelf, now, routine.kind);
  const [preview, setPreview] = useState<WorkedOut | null>(null);
  const { steps, minutes } = routine;
  const all = useQuery(mutesQuery).data;
  const studentId = today.student.id;
  const { voice } = today.student;
  const song = usePieceInHand(voice);
  const past = useQuery(historyQuery(studentId)).data;
  const history = useMemo(() => past && historyFrom(past), [past]);
  const mutes = useMemo(
    () =>
      (all ?? []).filter(
        (mute) =>
          (mute.routineId === null || mute.routineId === routineId) &&
          (mute.studentId === null || mute.studentId === studentId),
      ),
    [all, routineId, studentId],
  );
  const workOut = useCallback(
    (plan: Pick<WorkedOut, 'minutes' | 'steps'>): WorkedOut => {
      const laid = layRoutine(plan.steps, context);
      const findings = reviewRoutine({
        ...context,
        ...plan,
        laid,
        ...(history && { history }),
        ...(song && { song }),
        muted: new Set(mutes.map(({ rule }) => rule)),
      });
      return { ...plan, laid, findings, marks: marksOf(findings) };
    },
    [context, history, song, mutes],
  );
  const onTheBench = useMemo(() => workOut({ minutes, steps }), [workOut, minutes, steps]);
  const shown = preview ?? onTheBench;
  const later = useDeferredValue(shown);
  // What is edited by hand answers at once everywhere, or a letter typed into a field would be lost.
  const settled = preview || later.steps === steps ? later : shown;
  const drafting = useDrafting(studentId, context, history?.ease, song && songNeeds(song, voice));
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
      const name = routine.name === t('bench.untitled') && draftName(drafted, context, routine.kind, t);
      act({
        type: 'patch',
        what: t('bench.think.draft'),
        patches: [{ op: 'steps', steps: drafted }],
        ...(name && { name }),
      });
    });
  };
  // Whoever asked for a draft, or for more, on the way here gets it, once.
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
  // Back and forth comes back to where it was: a fit of a fit begins with what was there before the first.
  const [fit, setFit] = useState<Fitted | null>(null);
  const isFit = fit?.steps === steps;
  const whole = isFit ? fit.of : { steps, minutes };
  const fitted = (wanted: number): readonly RoutineStep[] => {
    if (isFit && wanted === whole.minutes) return whole.steps;
    // Shortening lengthens nothing.
    const neverLonger = wanted < whole.minutes || (!isFit && onTheBench.laid.seconds > wanted * 60);
    const fitOf = (from: readonly RoutineStep[]): FittedRoutine =>
      fitRoutine(from, wanted * 60, context, { mayDrop: true, neverLonger });
    const ofWhole = fitOf(whole.steps);
    // The first may have kept another cool-down than the one that is here, and a longer one.
    return (ofWhole.feasible ? ofWhole : fitOf(steps)).steps;
  };
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
        const next = fitted(wanted);
        setFit({ of: whole, steps: next });
        act({
          type: 'patch',
          what: t('bench.think.fitTo', { count: wanted }),
          patches: [
            { op: 'minutes', minutes: wanted },
            { op: 'steps', steps: next },
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
