import { Checkbox, SegmentedControl } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocking } from '../../api/gate.queries.ts';
import { rulesFor, useStudioAnswers } from '../../api/lay.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { useQuery } from '@tanstack/react-query';
import { clockText, dayText } from '../../text/times.ts';
import { gateDay } from './gate-day.ts';
import { GateQuestions, type Answers } from './gate-questions.tsx';
import { useLockSentence } from './lock-sentence.ts';
import type { FellowAtGate, FellowsAtGate } from './use-fellows.ts';
import classes from './gate.module.css';

interface FellowProps {
  readonly fellow: FellowAtGate;
  readonly onAnswer: (answers: Answers | undefined) => void;
}

/** One of the group: whether this one sings along, and if so what the gate asks. */
function Fellow({ fellow: { today, answers, gate }, onAnswer }: FellowProps): ReactElement {
  const { t } = useTranslation();
  const { student, conditions, painOn } = today;
  const todaysDate = useQuery(sessionQuery).data?.today ?? '';
  const rules = rulesFor(useStudioAnswers(), student);
  const setCondition = useCondition(student.id);
  const locking = useLocking(student.id);
  const sentenceOf = useLockSentence();
  const answer = (next: Answers): void => {
    onAnswer(next);
    const { outcome, isReferred } = gateDay(today, next, todaysDate);
    if (outcome?.open) setCondition(outcome.conditions);
    if (!outcome || outcome.level === 'clear' || outcome.level === 'changed') return;
    if (outcome.level !== 'see-someone' || !isReferred) locking.lock(outcome.level);
  };
  const { outcome } = gate;
  const level = outcome && outcome.level !== 'clear' && outcome.level !== 'changed' ? outcome.level : undefined;
  const said = level && sentenceOf(level, outcome?.open === false ? outcome.reason : undefined);
  const conditionsText =
    outcome?.conditions.map((name) => t(`conditions.${name}`).toLowerCase()).join(', ') || t('piano.fine');
  return (
    <div className={classes['fellow']} role="group" aria-label={student.name}>
      <Checkbox
        size="md"
        label={<bdi>{student.name}</bdi>}
        checked={answers !== undefined}
        disabled={gate.isShut}
        onChange={({ currentTarget }) => {
          onAnswer(currentTarget.checked ? {} : undefined);
        }}
      />
      {gate.isShut && <p>{t('gate.fellows.shut')}</p>}
      {said && <p className={classes['locked']}>{said}</p>}
      {answers && !gate.isShut && (
        <>
          {painOn !== null && <p>{t(gate.isSpared ? 'gate.painToday' : 'gate.painLast', { day: dayText(painOn) })}</p>}
          <GateQuestions
            voice={student.voice}
            performance={rules.performance}
            chosen={conditions}
            answers={answers}
            onAnswer={answer}
          />
          {outcome?.open && <p aria-live="polite">{t('piano.conditionToday', { conditions: conditionsText })}</p>}
        </>
      )}
    </div>
  );
}

interface FellowsGateProps {
  readonly fellows: FellowsAtGate;
  /** Of the run as it would begin. */
  readonly seconds: number;
}

/** Who of the group sings along, each asked as by themselves, and whether together or in turn. */
export function FellowsGate({ fellows, seconds }: FellowsGateProps): ReactElement | null {
  const { t } = useTranslation();
  if (fellows.all.length === 0) return null;
  const isAnyone = fellows.all.some(({ answers, gate }) => answers && !gate.isShut);
  return (
    <section className={classes['fellows']} aria-label={t('gate.fellows.title')}>
      <h2>{t('gate.fellows.title')}</h2>
      {fellows.all.map((fellow) => (
        <Fellow
          key={fellow.today.student.id}
          fellow={fellow}
          onAnswer={(answers) => {
            fellows.answer(fellow.today.student.id, answers);
          }}
        />
      ))}
      {isAnyone && (
        <SegmentedControl
          aria-label={t('gate.fellows.way')}
          size="md"
          data={[
            { value: 'together', label: t('gate.fellows.together') },
            { value: 'in-turn', label: t('gate.fellows.inTurn') },
          ]}
          value={fellows.isInTurn ? 'in-turn' : 'together'}
          onChange={(value) => {
            fellows.onInTurn(value === 'in-turn');
          }}
        />
      )}
      {isAnyone && (
        <p role="status">
          {fellows.mayBegin ? t('gate.fellows.takes', { time: clockText(seconds) }) : t('gate.fellows.waits')}
        </p>
      )}
    </section>
  );
}
