import { Button, Group, Title } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import {
  gateOutcome,
  isCleared,
  minutesToday,
  shortenedForToday,
  startRun,
  USUAL_RULES,
  type Exercise,
  type GateOutcome,
  type LaidRoutine,
} from '@soft-lark/core';
import { useEffect, useMemo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { v7 } from 'uuid';
import { useLocking, type VoiceLock } from '../../api/gate.queries.ts';
import { useLay, useRoutineContext } from '../../api/lay.ts';
import type { Routine } from '../../api/routines.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { endRun, keepRun, type KeptRun } from '../../runs/run-store.ts';
import { Brand } from '../../shell/brand.tsx';
import { loadPiano, wakePiano } from '../../sound/piano.ts';
import { useShown } from '../../shell/use-shown.ts';
import { useNow } from '../../ui/clock.ts';
import { clockText, dayText, momentText } from '../../text/times.ts';
import { WithTerms } from '../../ui/with-terms.tsx';
import { LessonLines } from '../../ui/lesson-lines.tsx';
import { GateQuestions, type Answers } from './gate-questions.tsx';
import { LockPanel } from './lock-panel.tsx';
import { todaysTop } from '../../flight/pitch-scale.ts';
import { writeNote } from '../../text/note-names.ts';
import { pitchesOf, plannedSteps } from './run-plan.ts';
import { SoundState } from './sound-state.tsx';
import classes from './gate.module.css';

interface GateProps {
  readonly routine: Routine;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
  readonly broken: KeptRun | undefined;
  readonly onBegin: (runId: string) => void;
}

/** What a lock says: by its reason where this gate led to it, else by its level. */
function useLockSentence(): (level: VoiceLock['level'], reason?: GateOutcome['reason']) => string {
  const { t } = useTranslation();
  return (level, reason) => {
    if (level === 'urgent') return t('gate.urgent');
    if (level === 'see-someone') return t('gate.seeSomeone');
    return t(`gate.notToday.${reason === 'pain' || reason === 'voice-gone' ? reason : 'other'}`);
  };
}

interface OutcomeProps {
  readonly outcome: GateOutcome;
  readonly isEmpty: boolean;
  /** Seconds the routine was shortened to for such a day. */
  readonly cutTo: number | null;
  /** The routine as it stood before the answers, and as they leave it. */
  readonly before: LaidRoutine;
  readonly after: LaidRoutine;
}

/** What the answers take off the top and the length, said only where they do. */
function Difference({ before, after }: Pick<OutcomeProps, 'before' | 'after'>): ReactElement | null {
  const { t } = useTranslation();
  const [highBefore, high] = [todaysTop(before)?.limits.ceiling, todaysTop(after)?.limits.ceiling];
  const top =
    highBefore !== undefined && high !== undefined && highBefore !== high
      ? [t('gate.topWas', { was: writeNote(highBefore), is: writeNote(high) })]
      : [];
  const [was, is] = [clockText(before.seconds), clockText(after.seconds)];
  const length = was === is ? [] : [t('gate.lengthWas', { was, is })];
  const changes = [...top, ...length];
  return changes.length === 0 ? null : <b className={classes['difference']}>{changes.join(' · ')}</b>;
}

/** What the answers come to where a run may begin, in one line. */
function Outcome({ outcome, isEmpty, cutTo, before, after }: OutcomeProps): ReactElement {
  const { t } = useTranslation();
  const conditions =
    outcome.conditions.map((name) => t(`conditions.${name}`).toLowerCase()).join(', ') || t('piano.fine');
  return (
    <>
      {outcome.level === 'see-someone' && <p className={classes['locked']}>{t('gate.seeSomeone')}</p>}
      <p>
        <WithTerms>{isEmpty ? t('piano.nothing') : t('piano.conditionToday', { conditions })}</WithTerms>{' '}
        {outcome.allowance === 'gentle' && t('gate.gentleToday')}
        {outcome.allowance === 'middle' && t('gate.middleToday')}{' '}
        {cutTo !== null && t('gate.cutTo', { time: clockText(cutTo) })}{' '}
        {(outcome.length?.goes ?? 1) > 1 && t('gate.onceMore')}{' '}
        {!isEmpty && <Difference before={before} after={after} />}
      </p>
    </>
  );
}

/** The gate before a run: the strictest answer decides; what is locked stays so until the teacher opens it again. */
export function Gate({ routine, today, shelf, broken, onBegin }: GateProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const now = useNow();
  const lay = useLay();
  const { student, conditions, lock, painOn } = today;
  const setCondition = useCondition(student.id);
  const locking = useLocking(student.id);
  const sentenceOf = useLockSentence();
  const { isShared } = useShown();
  const [answers, setAnswers] = useState<Answers>({});
  const todaysDate = useQuery(sessionQuery).data?.today ?? '';
  const hasClearance = isCleared(student.voice.clearedOn, todaysDate);
  const answered = gateOutcome(answers, conditions, hasClearance);
  const isReferred = lock?.level === 'see-someone';
  // A run that hurt today leaves gentle work for today, whatever the answers are now.
  const isSpared = isReferred || (painOn !== null && painOn === todaysDate);
  const outcome = answered?.open && isSpared ? { ...answered, allowance: 'gentle' as const } : answered;
  const day = outcome?.open ? { ...today, ...outcome, conditions: [...outcome.conditions] } : today;
  const context = useRoutineContext(day, shelf, now, routine.kind);
  const minutes = minutesToday(outcome?.length, routine.minutes);
  const isCut = minutes < routine.minutes;
  const steps = isCut ? shortenedForToday(routine.steps, minutes, context) : routine.steps;
  const before = useMemo(() => lay(routine, today, shelf, now), [lay, routine, today, shelf, now]);
  const laid = lay({ ...routine, steps }, day, shelf, now);
  const isOpen = routine.steps.length === 0;
  const plan = startRun(laid, isOpen);
  const isEmpty = plan.steps.length === 0 && !isOpen;
  const isShut = lock !== null && !isReferred;

  // The first keys are wanted before the last answer.
  const pitches = pitchesOf(plan).join(' ');
  useEffect(() => {
    void loadPiano(pitches.split(' ').map(Number));
  }, [pitches]);

  const answer = (next: Answers): void => {
    setAnswers(next);
    const { level, open } = gateOutcome(next, conditions, hasClearance) ?? { level: 'clear', open: true };
    if (!open && (level === 'urgent' || level === 'not-today')) locking.lock(level);
  };

  const begin = (): void => {
    if (!outcome?.open) return;
    void wakePiano();
    if (broken) endRun(broken.id, new Date());
    setCondition(outcome.conditions);
    if (outcome.level === 'see-someone' && !isReferred) locking.lock('see-someone');
    const run: KeptRun = {
      id: v7(),
      studentId: student.id,
      routineId: routine.id,
      routineName: routine.name,
      routineVersion: routine.version,
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

  return (
    <main className={classes['gate']}>
      <header>
        <Link to={`/routines/${routine.id}`} aria-label={t('piano.back')}>
          <Brand />
        </Link>
        <span className="heading">{routine.name}</span>
        <bdi>{student.name}</bdi>
        <SoundState />
      </header>
      {broken && !isShut && (
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
      {lock && (
        <LockPanel
          key={lock.id}
          studentId={student.id}
          lock={lock}
          sentence={sentenceOf(lock.level, outcome?.open === false ? outcome.reason : undefined)}
          onLift={() => {
            setAnswers({});
          }}
        />
      )}
      {!isShut && (
        <>
          {painOn !== null && (
            <p className={classes['remembered']} role="note">
              {t(isSpared ? 'gate.painToday' : 'gate.painLast', { day: dayText(painOn) })}
            </p>
          )}
          <GateQuestions
            voice={student.voice}
            performance={(context.rules ?? USUAL_RULES).performance}
            chosen={conditions}
            answers={answers}
            onAnswer={answer}
          />
          {!isShared && (
            <LessonLines studentId={student.id} routineId={routine.id} steps={before.steps} context={context} />
          )}
          <div className={classes['outcome']} aria-live="polite">
            {outcome?.open && (
              <Outcome
                outcome={outcome}
                isEmpty={isEmpty}
                cutTo={isCut ? laid.seconds : null}
                before={before}
                after={laid}
              />
            )}
            {!outcome && <p>{t('gate.waits')}</p>}
            {outcome?.open === false && (outcome.level === 'urgent' || outcome.level === 'not-today') && (
              <p className={classes['locked']}>{sentenceOf(outcome.level, outcome.reason)}</p>
            )}
          </div>
        </>
      )}
      <Group>
        {!isShut && (
          <Button variant="filled" size="xl" disabled={!outcome?.open || isEmpty} onClick={begin}>
            {broken ? t('piano.startAfresh') : t('piano.begin')}
          </Button>
        )}
        <Button size="xl" component={Link} to={`/routines/${routine.id}`}>
          {t('piano.back')}
        </Button>
      </Group>
    </main>
  );
}
