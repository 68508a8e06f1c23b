import { Button } from '@mantine/core';
import {
  asTaught,
  currentKey,
  currentStep,
  isReadyDue,
  judgesSound,
  secondsLeft,
  type Exercise,
} from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { approachFor } from '../../api/lay.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import type { Routine } from '../../api/routines.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { Brand } from '../../shell/brand.tsx';
import { clockText } from '../../ui/format.ts';
import { KeyCap } from '../../ui/key-cap.tsx';
import { KeySheet } from '../../ui/key-sheet.tsx';
import { ActButtons } from './act-buttons.tsx';
import { LessTime } from './less-time.tsx';
import { MarkButtons } from './mark-buttons.tsx';
import { NowPanel } from './now-panel.tsx';
import type { KeptRun } from '../../runs/run-store.ts';
import { ReadyCard } from './ready-card.tsx';
import { SayBand } from './say-band.tsx';
import { SoundState } from './sound-state.tsx';
import { StopCard } from './stop-card.tsx';
import { EASE_MARKS, MARK_KEYS, useRunKeys } from './use-run-keys.ts';
import { useRun } from './use-run.ts';
import classes from './run.module.css';

interface RunScreenProps {
  readonly run: KeptRun;
  /** The routine it was begun with. */
  readonly routine: Routine;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
}

/** The run-through: readable from two metres, every act one key or tap. */
export function RunScreen({ run, routine, today, shelf }: RunScreenProps): ReactElement | null {
  const { t } = useTranslation();
  const { state } = run;
  const running = useRun(run, today.student);
  const step = currentStep(state);
  const isStopped = state.phase === 'stopped';
  const studio = useQuery(sessionQuery).data;
  const approach = approachFor(studio, today.student);
  const asksReady = (studio?.readyQuestions.length ?? 0) > 0 && isReadyDue(state, shelf);
  const written = step && shelf.get(step.exerciseId);
  const marks = written && !judgesSound(written, approach) ? EASE_MARKS : MARK_KEYS;
  useRunKeys(running, state, marks, !isStopped && !asksReady);
  if (!step) return null;
  const exercise = written && asTaught(written, { approach });
  const isPaused = state.phase === 'paused';
  const left = secondsLeft(state);
  const inKey = Math.min(running.elapsed, currentKey(state)?.seconds ?? step.seconds);
  const total = state.steps.reduce((sum, { seconds }) => sum + seconds, 0);
  return (
    <main className={classes['run']}>
      <header>
        <Brand />
        <h1 className="heading">{step.name}</h1>
        <span className={classes['place']}>
          {t('piano.step', { step: state.stepIndex + 1, count: state.steps.length })}
          {step.overlay && ` · ${step.overlay}`}
        </span>
        <div className={classes['progress']} aria-hidden>
          <span style={{ width: `${String(100 - Math.min(100, ((left.run - inKey) / total) * 100))}%` }} />
        </div>
        <span className={classes['left']}>
          <b>{clockText(left.run - inKey)}</b> {t('piano.left')} · {t('piano.stepLeft')}{' '}
          <b>{clockText(left.step - inKey)}</b>
        </span>
        <SoundState />
        <LessTime
          running={running}
          run={run}
          routine={routine}
          today={today}
          shelf={shelf}
          left={left.run - inKey}
          inStep={state.begun ? left.step - inKey : 0}
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
      <NowPanel running={running} state={state} exercise={exercise} studentId={run.studentId} />
      <SayBand running={running} state={state} exercise={exercise} approach={approach} />
      <footer>
        <MarkButtons running={running} state={state} asked={marks} />
        <ActButtons running={running} state={state} approach={approach} />
      </footer>
      <KeySheet />
      {asksReady && <ReadyCard running={running} run={run} routine={routine} today={today} shelf={shelf} />}
      {isStopped && <StopCard running={running} run={run} today={today} shelf={shelf} />}
    </main>
  );
}
