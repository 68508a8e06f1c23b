import { type LaidStep, type RoutineContext, type Travel } from '@soft-lark/core';
import type { TFunction } from 'i18next';
import { memo, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { skippedReasons } from '../../flight/stones.layout.ts';
import { CoursePicture } from '../../flight/course.tsx';
import { Staff } from '../../flight/staff.tsx';
import { clockText } from '../../text/times.ts';
import { useSharedScreen } from '../../ui/shared-screen.ts';
import type { BenchAction } from './bench.reducer.ts';
import { SwapMenu } from './swap-menu.tsx';
import { StepAdvice } from './step-advice.tsx';
import { StepProblem } from './step-problem.tsx';
import { StepStones } from './step-stones.tsx';
import { StepWords } from './step-words.tsx';
import { StepSettingsRow } from './step-settings-row.tsx';
import { writeNote } from '../../text/note-names.ts';
import classes from './bench.module.css';

/** What is sung, in a line; on a shared screen without the reason why a key is left out. */
function subtitle(step: LaidStep, isShared: boolean, t: TFunction): string {
  const { work } = step.exercise;
  if (work.kind === 'pattern') {
    const skipped = step.laid?.kind === 'pattern' ? step.laid.ladder.skipped : [];
    const out =
      skipped.length > 0
        ? ` · ${t('bench.keysOut', { count: skipped.length })}. ${isShared ? '' : skippedReasons(skipped).join(' ')}`
        : '';
    return `${work.pattern} ${t('bench.onWord', { syllables: work.syllables.replace('*', '') })}${out}`;
  }
  if (work.kind === 'siren' && step.laid?.kind === 'siren' && step.lowest !== null && step.highest !== null) {
    const passes = new Set(step.laid.siren.pieces.map(({ pass }) => pass)).size;
    return `${t('bench.passes', { count: passes, low: writeNote(step.lowest), high: writeNote(step.highest) })} ${t('bench.onWord', { syllables: work.syllables })}`;
  }
  return work.kind === 'spoken' ? work.text : step.exercise.why;
}

/** Where the step starts, and where its exercise would. */
function startsOf({ laid }: LaidStep): {
  readonly start?: number;
  readonly proposed?: number;
  readonly travel?: Travel;
} {
  if (laid?.kind !== 'pattern') return {};
  return { start: laid.input.start, proposed: laid.proposal.start, travel: laid.input.travel };
}

interface StepPanelProps {
  readonly step: LaidStep;
  readonly routineId: string;
  readonly studentId: string;
  readonly context: RoutineContext;
  readonly sungSteps: number;
  /** Seconds the routine has for this step. */
  readonly room: number;
  readonly act: Dispatch<BenchAction>;
}

const COURSE_HEIGHT = 104;

/** The chosen step: what is sung, its keys, and what can be set. */
export const StepPanel = memo(function StepPanel(props: StepPanelProps): ReactElement {
  const { step, routineId, studentId, context, sungSteps, room, act } = props;
  const { t } = useTranslation();
  const { exercise, laid, setUpSeconds, seconds, overlay } = step;
  const [isShared] = useSharedScreen();
  return (
    <section className={classes['panel']} aria-label={exercise.name}>
      <div className={classes['sungHead']}>
        <h2 className="heading">
          <Link to={`/shelf/${exercise.id}?routine=${routineId}`}>{exercise.name}</Link>
        </h2>
        {laid?.kind === 'pattern' && (
          <div className={classes['tune']}>
            <Staff pattern={laid.pattern} tonic={laid.ladder.rungs[0]?.tonic ?? laid.input.start} look="title" />
          </div>
        )}
        <SwapMenu
          step={step}
          context={context}
          sungSteps={sungSteps}
          room={room}
          onSwap={(exerciseId, name) => {
            const what = t('bench.swap.done', { before: exercise.name, after: name });
            act({ type: 'patch', what, patches: [{ op: 'swap', stepId: step.id, exerciseId }] });
          }}
        />
      </div>
      <p className={classes['sung']}>{subtitle(step, isShared, t)}</p>
      <StepProblem step={step} act={act} />
      {!isShared && <StepAdvice step={step} studentId={studentId} context={context} act={act} />}
      <StepStones step={step} act={act} />
      {laid?.kind === 'still' && <CoursePicture course={laid.course} height={COURSE_HEIGHT} />}
      <StepSettingsRow
        stepId={step.id}
        exercise={exercise}
        written={context.exercises.get(exercise.id) ?? exercise}
        settings={step.settings}
        {...startsOf(step)}
        usualSetUp={setUpSeconds}
        {...(step.limits && { floor: step.limits.floor, ceiling: step.limits.ceiling })}
        hasSong={context.songRange !== undefined}
        {...(context.ownOverlays && { ownOverlays: context.ownOverlays })}
        isOverlayOut={!overlay && step.settings.overlay !== undefined}
        act={act}
      />
      {!isShared && (
        <StepWords
          stepId={step.id}
          cue={step.settings.cue}
          note={step.settings.note}
          isContrast={step.settings.contrast ?? false}
          act={act}
        />
      )}
      {!step.problem && (
        <p className={classes['setUp']}>
          {t('bench.setUp', { seconds: clockText(setUpSeconds), work: clockText(seconds - setUpSeconds) })}
          {overlay && ` · ${overlay.text} ${overlay.cautions.join(' ')}`}
        </p>
      )}
      {exercise.cautions.map((caution) => (
        <p key={caution} className={classes['caution']}>
          {caution}
        </p>
      ))}
    </section>
  );
});
