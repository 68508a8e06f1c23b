import {
  asTaught,
  currentKey,
  currentStep,
  isReadyDue,
  judgesSound,
  ownMarks,
  playsOn,
  type Exercise,
} from '@soft-lark/core';
import { notifications } from '@mantine/notifications';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { answersFor } from '../../api/lay.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import type { Routine } from '../../api/routines.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { useSoundChoices } from '../../sound/sound-choices.ts';
import { ActButtons } from './act-buttons.tsx';
import { useSpokenCount } from './count-words.ts';
import { MarkButtons } from './mark-buttons.tsx';
import { NowPanel } from './now-panel.tsx';
import type { KeptRun } from '../../runs/run-store.ts';
import { OpenRun } from './open-run.tsx';
import { ReadyCard } from './ready-card.tsx';
import { RunHead } from './run-head.tsx';
import { RunSays } from './run-says.tsx';
import { SayBand } from './say-band.tsx';
import { Singers } from './singers.tsx';
import { StopCard } from './stop-card.tsx';
import { useFarSide } from './use-far-side.ts';
import { useListenedRun } from './use-listened-run.ts';
import { useKeyParts } from './use-key-parts.ts';
import { EASE_MARKS, MARKS_ASKED, useRunKeys } from './use-run-keys.ts';
import { useRun } from './use-run.ts';
import classes from './run.module.css';

interface RunScreenProps {
  readonly run: KeptRun;
  /** The routine it was begun with. */
  readonly routine: Routine;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
}

/** A routine that is changed elsewhere meanwhile changes nothing of the run, and that is said once. */
function usePlanNotice({ id, routineVersion }: KeptRun, { version }: Routine): void {
  const { t } = useTranslation();
  const isChanged = routineVersion !== undefined && version > routineVersion;
  useEffect(() => {
    if (isChanged) notifications.show({ id: `plan-${id}`, message: t('piano.planChanged') });
  }, [isChanged, id, t]);
}

/** The run-through: readable from two metres, every act one key or tap. */
export function RunScreen({ run, routine, today, shelf }: RunScreenProps): ReactElement | null {
  const { state } = run;
  const step = currentStep(state);
  const isStopped = state.phase === 'stopped';
  const studio = useQuery(sessionQuery).data;
  const answers = answersFor(studio, today.student);
  const { approach } = answers;
  const [handed, setHanded] = useState<{ readonly isOn: boolean; readonly stepId: string | undefined } | null>(null);
  const usual = step?.pace ? step.pace === 'plays-on' : (handed?.isOn ?? playsOn(approach));
  // What was pressed holds from here on; a step with a pace of its own begins with that all the same.
  const isPlayingOn = handed && handed.stepId === step?.stepId ? handed.isOn : usual;
  const [{ speaks }] = useSoundChoices();
  const written = step && shelf.get(step.exerciseId);
  const exercise = written && asTaught(written, { approach });
  const far = useFarSide({ run, exercise, approach });
  const running = useRun(run, useKeyParts(today.student.voice), isPlayingOn, far.sound);
  const asksReady = (studio?.readyQuestions.length ?? 0) > 0 && isReadyDue(state, shelf);
  const ear = useListenedRun({
    running,
    state,
    exercise: written,
    voice: today.student.voice,
    answers,
    isPlayingOn,
  });
  const shared = written && !judgesSound(written, approach) ? EASE_MARKS : MARKS_ASKED;
  const marks = [...shared, ...(written ? ownMarks(written).map(({ mark }) => mark) : [])];
  const handOver = (): void => {
    setHanded({ isOn: !isPlayingOn, stepId: step?.stepId });
  };
  usePlanNotice(run, routine);
  useRunKeys(running, state, marks, !isStopped && !asksReady, handOver);
  useSpokenCount(speaks, state, running.going?.id ?? null, currentKey(state)?.cueSeconds ?? 0);
  if (!step) return <OpenRun running={running} run={run} today={today} shelf={shelf} />;
  return (
    <main className={classes['run']} data-several={run.fellows !== undefined}>
      <RunHead
        running={running}
        run={run}
        routine={routine}
        today={today}
        shelf={shelf}
        ear={ear}
        far={far}
        isPlayingOn={isPlayingOn}
        onHandOver={handOver}
      />
      <RunSays state={state} exercise={exercise} />
      <Singers running={running} run={run} leader={today.student.name} />
      <NowPanel running={running} state={state} exercise={exercise} studentId={run.studentId} ear={ear} />
      <SayBand running={running} state={state} exercise={exercise} approach={approach} far={far} />
      <footer>
        <MarkButtons running={running} state={state} asked={marks} exercise={exercise} />
        <ActButtons running={running} state={state} approach={approach} />
      </footer>
      {asksReady && <ReadyCard running={running} run={run} routine={routine} today={today} shelf={shelf} />}
      {isStopped && <StopCard running={running} run={run} today={today} shelf={shelf} />}
    </main>
  );
}
