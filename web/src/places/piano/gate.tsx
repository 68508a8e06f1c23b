import { Button, Group, Title } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { gateOutcome, missingBeforeRun, startRun, type Exercise, type GateAnswers } from '@soft-lark/core';
import { useEffect, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { v7 } from 'uuid';
import { layFor } from '../../api/lay.ts';
import type { Routine } from '../../api/routines.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { Brand } from '../../shell/brand.tsx';
import { loadPiano, wakePiano } from '../../sound/piano.ts';
import { useNow } from '../../ui/clock.ts';
import { momentText } from '../../ui/format.ts';
import { GateQuestion } from './gate-question.tsx';
import { pitchesOf, plannedSteps } from './run-plan.ts';
import { endRun, keepRun, type KeptRun } from '../../runs/run-store.ts';
import { SoundState } from './sound-state.tsx';
import classes from './gate.module.css';

interface GateProps {
  readonly routine: Routine;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
  readonly broken: KeptRun | undefined;
  readonly onBegin: (runId: string) => void;
}

type Answers = Partial<GateAnswers>;

function isAnswered(answers: Answers): answers is GateAnswers {
  return answers.tired !== undefined && answers.voice !== undefined && answers.pain !== undefined;
}

/** Three questions before the first note; the strictest answer decides. */
export function Gate({ routine, today, shelf, broken, onBegin }: GateProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const now = useNow();
  const { student, conditions } = today;
  const setCondition = useCondition(student.id);
  const [answers, setAnswers] = useState<Answers>({});
  const outcome = isAnswered(answers) ? gateOutcome(answers, conditions) : null;
  const todays = outcome?.open ? outcome.conditions : conditions;
  const laid = layFor(routine, student, todays, shelf, now);
  const needsFile = missingBeforeRun(student.voice).length > 0;
  const plan = startRun(laid);

  // The first keys are wanted before the last answer.
  const pitches = pitchesOf(plan).join(' ');
  useEffect(() => {
    void loadPiano(pitches.split(' ').map(Number));
  }, [pitches]);

  const begin = (): void => {
    if (!outcome?.open) return;
    void wakePiano();
    if (broken) endRun(broken.id, new Date());
    setCondition(outcome.conditions);
    const run: KeptRun = {
      id: v7(),
      studentId: student.id,
      routineId: routine.id,
      routineName: routine.name,
      startedAt: new Date().toISOString(),
      conditions: outcome.conditions,
      plan: plannedSteps(plan),
      state: plan,
      note: '',
      isClosed: false,
      revision: 1,
      sentRevision: 0,
    };
    keepRun(run);
    void queries.cancelQueries({ queryKey: ['routines', routine.id] });
    onBegin(run.id);
  };

  const locked = needsFile
    ? t('piano.lockedYoung')
    : outcome?.open === false
      ? t(outcome.reason === 'pain' ? 'piano.lockedPain' : 'piano.lockedGone')
      : null;
  return (
    <main className={classes['gate']}>
      <header>
        <Link to={`/routines/${routine.id}`} aria-label={t('piano.back')}>
          <Brand />
        </Link>
        <span className="heading">{routine.name}</span>
        <span>{student.name}</span>
        <SoundState />
      </header>
      {broken && (
        <div className={classes['broken']} role="status">
          <p>{t('piano.broken', { when: momentText(broken.startedAt) })}</p>
          <Button
            variant="filled"
            size="lg"
            onClick={() => {
              void wakePiano();
              onBegin(broken.id);
            }}
          >
            {t('piano.goOn')}
          </Button>
        </div>
      )}
      <Title order={1}>{t('piano.gate')}</Title>
      {!needsFile && (
        <>
          <GateQuestion
            question={t('piano.gateTired')}
            choices={([0, 1, 2, 3] as const).map((tired) => ({
              value: String(tired),
              label: t(`piano.tired.${String(tired) as '0'}`),
            }))}
            value={answers.tired === undefined ? null : String(answers.tired)}
            onChange={(tired) => {
              setAnswers({ ...answers, tired: Number(tired) as GateAnswers['tired'] });
            }}
          />
          <GateQuestion
            question={t('piano.gateVoice')}
            choices={(['normal', 'rough', 'gone'] as const).map((voice) => ({
              value: voice,
              label: t(`piano.voice.${voice}`),
            }))}
            value={answers.voice ?? null}
            onChange={(voice) => {
              setAnswers({ ...answers, voice: voice as GateAnswers['voice'] });
            }}
          />
          <GateQuestion
            question={t('piano.gatePain')}
            choices={(['no', 'yes'] as const).map((pain) => ({ value: pain, label: t(`piano.pain.${pain}`) }))}
            value={answers.pain === undefined ? null : answers.pain ? 'yes' : 'no'}
            onChange={(pain) => {
              setAnswers({ ...answers, pain: pain === 'yes' });
            }}
          />
        </>
      )}
      <div className={classes['outcome']} aria-live="polite">
        {locked && <p className={classes['locked']}>{locked}</p>}
        {outcome?.open && !needsFile && (
          <p>
            {plan.steps.length === 0
              ? t('piano.nothing')
              : t('piano.conditionToday', {
                  conditions:
                    outcome.conditions.map((name) => t(`conditions.${name}`).toLowerCase()).join(', ') ||
                    t('piano.fine'),
                })}
          </p>
        )}
      </div>
      <Group>
        <Button
          variant="filled"
          size="xl"
          disabled={locked !== null || !outcome?.open || plan.steps.length === 0}
          onClick={begin}
        >
          {broken ? t('piano.startAfresh') : t('piano.begin')}
        </Button>
        <Button size="xl" component={Link} to={needsFile ? `/students/${student.id}` : `/routines/${routine.id}`}>
          {needsFile ? t('piano.openFile') : t('piano.back')}
        </Button>
      </Group>
    </main>
  );
}
