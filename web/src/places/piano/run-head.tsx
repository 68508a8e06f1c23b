import { Button, UnstyledButton } from '@mantine/core';
import { currentKey, currentStep, secondsLeft, type Exercise, type LessonClock, type RunState } from '@soft-lark/core';
import { IconChevronLeft } from '@tabler/icons-react';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Routine } from '../../api/routines.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import type { KeptRun } from '../../runs/run-store.ts';
import { Brand } from '../../shell/brand.tsx';
import { clockText } from '../../text/times.ts';
import { KeyCap, KeyFor } from '../../ui/key-cap.tsx';
import { EarButton } from './ear-button.tsx';
import { HandsButton } from './hands.tsx';
import { LessTime } from './less-time.tsx';
import { letGo } from './let-go.ts';
import { MoreMenu } from './more-menu.tsx';
import { SoundButton } from './sound-button.tsx';
import type { FarSide } from './use-far-side.ts';
import { useLessonClock } from './use-lesson-clock.ts';
import type { ListenedRun } from './use-listened-run.ts';
import type { Running } from './use-run.ts';
import classes from './run.module.css';

interface RunHeadProps {
  readonly running: Running;
  readonly run: KeptRun;
  readonly routine: Routine;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
  readonly ear: ListenedRun;
  readonly far: FarSide;
  /** Keys follow one another by themselves. */
  readonly isPlayingOn: boolean;
  readonly onHandOver: () => void;
}

/** Seconds of the key or of the work without keys that are sung already; no more than it has. */
function secondsSung({ elapsed }: Running, state: RunState): number {
  return Math.min(elapsed, currentKey(state)?.seconds ?? currentStep(state)?.seconds ?? 0);
}

interface TimeLeftProps extends Pick<LessonClock, 'afterwards'> {
  /** Seconds of the run and of its step. */
  readonly run: number;
  readonly step: number;
}

/** What is left of the run and of its step, and of the lesson after it. */
function TimeLeft({ run, step, afterwards }: TimeLeftProps): ReactElement {
  const { t } = useTranslation();
  return (
    <span className={classes['left']}>
      <b>{clockText(run)}</b> {t('piano.left')} · {t('piano.stepLeft')} <b>{clockText(step)}</b>
      {afterwards !== null && (
        <small>
          {afterwards < 0
            ? t('piano.lesson.past', { count: Math.ceil(-afterwards / 60) })
            : t('piano.lesson.then', { count: Math.floor(afterwards / 60) })}
        </small>
      )}
    </span>
  );
}

/** Which step of how many, and the way to the one before. */
function Place({ running, run: { state } }: Pick<RunHeadProps, 'running' | 'run'>): ReactElement {
  const { t } = useTranslation();
  const overlay = currentStep(state)?.overlay;
  const total = state.steps.reduce((sum, { seconds }) => sum + seconds, 0);
  const left = secondsLeft(state).run - secondsSung(running, state);
  return (
    <>
      <UnstyledButton
        className={classes['before'] ?? ''}
        aria-label={t('piano.previousStep')}
        title={t('piano.previousStep')}
        disabled={state.stepIndex === 0}
        onPointerUp={letGo}
        onClick={() => {
          running.act('previous-step');
        }}
      >
        <IconChevronLeft size={22} aria-hidden />
      </UnstyledButton>
      <span className={classes['place']}>
        {t('piano.step', { step: state.stepIndex + 1, count: state.steps.length })}
        {overlay && ` · ${overlay}`}
      </span>
      <div className={classes['progress']} aria-hidden>
        <span style={{ width: `${String(100 - Math.min(100, (left / total) * 100))}%` }} />
      </div>
    </>
  );
}

/** The head of a run: where it stands, what is left, and what is done with it as a whole. */
export function RunHead(props: RunHeadProps): ReactElement {
  const { running, run, routine, today, shelf, ear, far, isPlayingOn, onHandOver } = props;
  const { t } = useTranslation();
  const { state } = run;
  const isPaused = state.phase === 'paused';
  const planned = secondsLeft(state);
  const sung = secondsSung(running, state);
  const left = { run: planned.run - sung, step: planned.step - sung };
  const clock = useLessonClock(run, routine, left.run);
  return (
    <header>
      <Brand />
      <h1 className="heading">{currentStep(state)?.name}</h1>
      <Place running={running} run={run} />
      <TimeLeft {...left} afterwards={clock.afterwards} />
      <SoundButton far={far} student={today.student} />
      <EarButton {...ear} />
      <HandsButton running={running} state={state} />
      <MoreMenu running={running} run={run} today={today} shelf={shelf} />
      <Button
        size="md"
        className={classes['pace'] ?? ''}
        aria-pressed={isPlayingOn}
        rightSection={<KeyFor place="piano" name="playOn" />}
        onClick={onHandOver}
      >
        {t(isPlayingOn ? 'piano.playsOn' : 'piano.waits')}
      </Button>
      <LessTime
        running={running}
        run={run}
        routine={routine}
        today={today}
        shelf={shelf}
        left={left.run}
        inStep={state.begun ? left.step : 0}
        clock={clock}
      />
      <Button
        size="md"
        className={classes['pause'] ?? ''}
        rightSection={<KeyCap>{t('piano.keys.pause')}</KeyCap>}
        onClick={() => {
          running.act(isPaused ? 'resume' : 'pause');
        }}
      >
        {isPaused ? t('piano.resume') : t('piano.pause')}
      </Button>
    </header>
  );
}
