import { Button, Group, Title } from '@mantine/core';
import { USUAL_RULES, type GateOutcome, type LaidRoutine } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { KeptRun } from '../../runs/run-store.ts';
import { wakePiano } from '../../sound/piano.ts';
import { Brand } from '../../shell/brand.tsx';
import { useShown } from '../../shell/use-shown.ts';
import { clockText, dayText, momentText } from '../../text/times.ts';
import { WithTerms } from '../../ui/with-terms.tsx';
import { LessonLines } from '../../ui/lesson-lines.tsx';
import { FellowsGate } from './fellows-gate.tsx';
import { GateQuestions } from './gate-questions.tsx';
import { LockPanel } from './lock-panel.tsx';
import { useLockSentence } from './lock-sentence.ts';
import { todaysTop } from '../../flight/pitch-scale.ts';
import { writeNote } from '../../text/note-names.ts';
import { SoundState } from './sound-state.tsx';
import { useGate, type GateProps, type GateState } from './use-gate.ts';
import classes from './gate.module.css';

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

/** What the gate says below its questions: what they come to, or what is still to be answered. */
function Said({ outcome, ...laid }: Omit<OutcomeProps, 'outcome'> & Pick<GateState, 'outcome'>): ReactElement {
  const { t } = useTranslation();
  const sentenceOf = useLockSentence();
  return (
    <div className={classes['outcome']} aria-live="polite">
      {outcome?.open && <Outcome outcome={outcome} {...laid} />}
      {!outcome && <p>{t('gate.waits')}</p>}
      {outcome?.open === false && (outcome.level === 'urgent' || outcome.level === 'not-today') && (
        <p className={classes['locked']}>{sentenceOf(outcome.level, outcome.reason)}</p>
      )}
    </div>
  );
}

/** Whose warm-up it is, and whether the piano is ready. */
function GateHead({ routine, today }: Pick<GateProps, 'routine' | 'today'>): ReactElement {
  const { t } = useTranslation();
  const { student } = today;
  return (
    <header>
      <Link to={`/routines/${routine.id}`} aria-label={t('piano.back')}>
        <Brand />
      </Link>
      <span className="heading">{routine.name}</span>
      <bdi>{student.name}</bdi>
      <SoundState />
    </header>
  );
}

/** A run that was broken off, to go on with. */
function BrokenRun({
  broken,
  onBegin,
}: {
  readonly broken: KeptRun;
  readonly onBegin: GateProps['onBegin'];
}): ReactElement {
  const { t } = useTranslation();
  return (
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
  );
}

/** The gate before a run: the strictest answer decides; what is locked stays so until the teacher opens it again. */
export function Gate(props: GateProps): ReactElement {
  const { t } = useTranslation();
  const { routine, today, broken, onBegin } = props;
  const { student, conditions, lock, painOn } = today;
  const { isShared } = useShown();
  const sentenceOf = useLockSentence();
  const {
    answers,
    answer,
    outcome,
    context,
    before,
    after,
    isCut,
    isEmpty,
    isShut,
    isSpared,
    fellows,
    mayBegin,
    seconds,
    begin,
  } = useGate(props);
  return (
    <main className={classes['gate']}>
      <GateHead routine={routine} today={today} />
      {broken && !isShut && <BrokenRun broken={broken} onBegin={onBegin} />}
      <Title order={1}>{t('piano.gate')}</Title>
      {lock && (
        <LockPanel
          key={lock.id}
          studentId={student.id}
          lock={lock}
          sentence={sentenceOf(lock.level, outcome?.open === false ? outcome.reason : undefined)}
          onLift={() => {
            answer({});
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
          <FellowsGate fellows={fellows} seconds={seconds} />
          {!isShared && (
            <LessonLines studentId={student.id} routineId={routine.id} steps={before.steps} context={context} />
          )}
          <Said
            outcome={outcome}
            isEmpty={isEmpty}
            cutTo={isCut ? after.seconds : null}
            before={before}
            after={after}
          />
        </>
      )}
      <Group>
        {!isShut && (
          <Button variant="filled" size="xl" disabled={!mayBegin} onClick={begin}>
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
