import { Button, Group, Modal, NumberInput } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { refitRun, type Exercise, type LessonClock } from '@soft-lark/core';
import { useMemo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { dayContext, ofKind, useStudioAnswers } from '../../api/lay.ts';
import type { Routine } from '../../api/routines.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import type { KeptRun } from '../../runs/run-store.ts';
import { useNow } from '../../ui/clock.ts';
import { clockText } from '../../text/times.ts';
import type { Running } from './use-run.ts';
import classes from './run.module.css';

interface LessTimeProps {
  readonly running: Running;
  readonly run: KeptRun;
  readonly routine: Routine;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
  /** Seconds the plan still takes. */
  readonly left: number;
  /** Seconds of these that the step being worked on still takes; it is not cut. */
  readonly inStep: number;
  readonly clock: LessonClock;
}

const MOST_MINUTES = 60;

/** After a late start or a long talk: the minutes that are left, what would be cut for them, and one press. */
export function LessTime({ running, run, routine, today, shelf, left, inStep, clock }: LessTimeProps): ReactElement {
  const { t } = useTranslation();
  const [isOpen, { open, close }] = useDisclosure(false);
  const [minutes, setMinutes] = useState<number | string>('');
  const studio = useStudioAnswers();
  const now = useNow(600);
  const { overBy, minutesLeft } = clock;
  const wanted = typeof minutes === 'number' ? minutes : overBy > 0 ? minutesLeft : Math.max(1, Math.floor(left / 60));
  // In tens of seconds, so that it is not worked out anew with every tick.
  const stillGoing = Math.ceil(inStep / 10) * 10;
  const refitted = useMemo(
    () =>
      isOpen
        ? refitRun(
            run.state,
            routine.steps,
            {
              ...dayContext({ ...today, conditions: [...run.conditions] }, studio, shelf, now),
              ...ofKind(routine.kind),
            },
            Math.max(0, wanted * 60 - stillGoing),
          )
        : null,
    [isOpen, run, routine, today, studio, shelf, now, wanted, stillGoing],
  );
  return (
    <>
      <Button size="md" className={classes['lessTime'] ?? ''} data-over={overBy > 0} onClick={open}>
        {overBy > 0 ? t('piano.lesson.over', { time: clockText(overBy) }) : t('piano.lessTime.open')}
      </Button>
      <Modal opened={isOpen} onClose={close} title={t('piano.lessTime.title')}>
        <NumberInput
          size="md"
          w={160}
          label={t('piano.lessTime.minutes')}
          min={1}
          max={MOST_MINUTES}
          allowDecimal={false}
          placeholder={String(wanted)}
          value={minutes}
          onChange={setMinutes}
        />
        {refitted?.cuts.length === 0 && <p>{t('piano.lessTime.enough')}</p>}
        <ul className={classes['cuts']} aria-label={t('piano.lessTime.cuts')}>
          {refitted?.cuts.map(({ stepId, name, from, to }) => (
            <li key={stepId}>
              <span>{name}</span>
              <span>
                {clockText(from)} → {to === 0 ? t('piano.lessTime.out') : clockText(to)}
              </span>
            </li>
          ))}
        </ul>
        {refitted && (
          <p role="status">
            {refitted.fits
              ? t('piano.lessTime.then', { time: clockText(refitted.seconds + inStep) })
              : t('piano.lessTime.over', { time: clockText(refitted.seconds + inStep) })}
          </p>
        )}
        <Group justify="flex-end">
          <Button onClick={close}>{t('app.cancel')}</Button>
          <Button
            variant="filled"
            disabled={!refitted || refitted.cuts.length === 0}
            onClick={() => {
              if (refitted) running.does({ type: 'refit', steps: refitted.steps });
              close();
            }}
          >
            {t('piano.lessTime.fit')}
          </Button>
        </Group>
      </Modal>
    </>
  );
}
