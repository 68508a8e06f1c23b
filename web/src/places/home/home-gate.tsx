import { Button, Group } from '@mantine/core';
import { gateOutcome, runOf, USUAL_RULES } from '@soft-lark/core';
import { useEffect, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { lockFromHome, type Home } from '../../api/home.queries.ts';
import { keepRun } from '../../runs/run-store.ts';
import { loadPiano, wakePiano } from '../../sound/piano.ts';
import { GateQuestions, type Answers } from '../piano/gate-questions.tsx';
import { pitchesOf, plannedSteps } from '../piano/run-plan.ts';
import classes from './home.module.css';

interface HomeGateProps {
  readonly token: string;
  readonly home: Home;
  readonly choice: Home['routines'][number];
  readonly onBegin: (runId: string) => void;
  readonly onBack: () => void;
}

/** The questions before the first note, alone as in a lesson: whatever is not a usual day is practised gently, or not at all. */
export function HomeGate({ token, home, choice, onBegin, onBack }: HomeGateProps): ReactElement {
  const { t } = useTranslation();
  const [answers, setAnswers] = useState<Answers>({});
  const outcome = gateOutcome(answers, [], false);
  const isUsual =
    home.lock === null && outcome?.level === 'clear' && outcome.allowance === 'all' && outcome.conditions.length === 0;
  const routine = isUsual ? choice.usual : choice.gentle;
  const pitches = pitchesOf(runOf(routine.steps)).join(' ');
  useEffect(() => {
    void loadPiano(pitches.split(' ').map(Number));
  }, [pitches]);
  const answer = (next: Answers): void => {
    setAnswers(next);
    const decided = gateOutcome(next, [], false);
    if (decided && !decided.open && (decided.level === 'urgent' || decided.level === 'not-today'))
      void lockFromHome(token, v7(), decided.level).catch(() => undefined);
  };
  const begin = (): void => {
    void wakePiano();
    const state = runOf(routine.steps);
    const id = v7();
    keepRun({
      id,
      homeToken: token,
      studentId: '',
      routineId: routine.id,
      routineName: routine.name,
      startedAt: new Date().toISOString(),
      conditions: outcome?.conditions ?? [],
      plan: plannedSteps(state),
      state,
      note: '',
      isClosed: false,
      revision: 1,
      sentRevision: 0,
    });
    onBegin(id);
  };
  const isShut = outcome?.open === false;
  return (
    <>
      <h1 className="heading">{t('home.first')}</h1>
      <GateQuestions
        voice={{ type: home.voiceType }}
        performance={USUAL_RULES.performance}
        chosen={[]}
        answers={answers}
        onAnswer={answer}
      />
      <p aria-live="polite" className={isShut ? classes['locked'] : ''}>
        {!outcome && t('gate.waits')}
        {isShut && t(outcome.level === 'urgent' ? 'home.locked.urgent' : 'home.locked.not-today')}
        {outcome?.open && !isUsual && t('home.gently')}
        {outcome?.level === 'see-someone' && ` ${t('home.locked.see-someone')}`}
      </p>
      <Group grow>
        <Button size="xl" onClick={onBack}>
          {t('home.back')}
        </Button>
        {!isShut && (
          <Button size="xl" variant="filled" disabled={!outcome?.open || routine.steps.length === 0} onClick={begin}>
            {t('piano.begin')}
          </Button>
        )}
      </Group>
    </>
  );
}
