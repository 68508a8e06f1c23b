import { Button, Group, Modal, SegmentedControl } from '@mantine/core';
import { READY_GLIDE, repairsFor, secondsLeft, type Exercise, type Repair } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { dayContext, ofKind, useStudioAnswers } from '../../api/lay.ts';
import type { Routine } from '../../api/routines.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { spentSeconds } from '../../runs/run-clock.ts';
import type { KeptRun } from '../../runs/run-store.ts';
import { useNow } from '../../ui/clock.ts';
import { clockText } from '../../text/times.ts';
import type { Running } from './use-run.ts';
import { useKeys } from '../../ui/use-keys.ts';
import { usePedals } from './use-pedals.ts';
import classes from './run.module.css';

interface ReadyCardProps {
  readonly running: Running;
  readonly run: KeptRun;
  readonly routine: Routine;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
}

const ANSWERS = ['yes', 'no'] as const;

/** What each no would get, for the minutes that are left. */
function useRepairs(
  { run, routine, today, shelf }: Omit<ReadyCardProps, 'running'>,
  noes: readonly string[],
): { readonly repairs: readonly Repair[]; readonly seconds: number } {
  const studio = useStudioAnswers();
  const now = useNow(600);
  // As it is when the card opens: it is answered in seconds.
  const [spent] = useState(() => spentSeconds(run));
  const seconds = Math.floor(routine.minutes * 60 - spent - secondsLeft(run.state).run);
  const wanted = noes.join(' ');
  const repairs = useMemo(
    () =>
      repairsFor(
        wanted.split(' ').filter(Boolean),
        run.state,
        {
          ...dayContext({ ...today, conditions: [...run.conditions] }, studio, shelf, now),
          ...ofKind(routine.kind),
        },
        seconds,
        v7,
      ),
    [wanted, run.state, run.conditions, routine.kind, today, studio, shelf, now, seconds],
  );
  return { repairs, seconds };
}

/** Before the cool-down: the teacher’s own questions and one glide; each no offers one short block that fits the time. */
export function ReadyCard(props: ReadyCardProps): ReactElement {
  const { t } = useTranslation();
  const { running } = props;
  const own = useQuery(sessionQuery).data?.readyQuestions ?? [];
  const questions = [...own, { text: t('piano.ready.glide'), goal: READY_GLIDE }];
  const [answers, setAnswers] = useState<Readonly<Record<string, string>>>({});
  const noes = questions.filter((_, index) => answers[String(index)] === 'no').map(({ goal }) => goal);
  const { repairs, seconds } = useRepairs(props, [...new Set(noes)]);
  const blocks = repairs.flatMap((repair) => ('step' in repair ? [repair.step] : []));
  const offer = (goal: string): string => {
    const repair = repairs.find((one) => one.goal === goal);
    if (!repair) return '';
    if (!('step' in repair)) return t(`piano.ready.none.${repair.why}`);
    return t('piano.ready.block', { name: repair.step.name, time: clockText(repair.step.seconds) });
  };
  const goOn = (): void => {
    running.mend([]);
  };
  // The pedal goes on here as well.
  useKeys({ place: 'piano', other: { ArrowRight: goOn, ...usePedals({ onward: goOn }) }, isInDialog: true });
  return (
    <Modal opened onClose={goOn} title={t('piano.ready.title')} size="xl" closeOnClickOutside={false}>
      <ul className={classes['ready']}>
        {questions.map(({ text, goal }, index) => (
          <li key={text}>
            <span>{text}</span>
            <SegmentedControl
              size="lg"
              aria-label={text}
              data={ANSWERS.map((value) => ({ value, label: t(`piano.ready.${value}`) }))}
              value={answers[String(index)] ?? ''}
              onChange={(answer) => {
                setAnswers({ ...answers, [String(index)]: answer });
              }}
            />
            <small aria-live="polite">{answers[String(index)] === 'no' ? offer(goal) : ''}</small>
          </li>
        ))}
      </ul>
      <Group justify="space-between">
        <span className={classes['readyLeft']}>
          {seconds > 0 ? t('piano.ready.left', { time: clockText(seconds) }) : t('piano.ready.noneLeft')}
        </span>
        <Group>
          {blocks.length > 0 && (
            <Button
              size="xl"
              variant="filled"
              onClick={() => {
                running.mend(blocks);
              }}
            >
              {t('piano.ready.mend', { count: blocks.length })}
            </Button>
          )}
          <Button size="xl" data-autofocus variant={blocks.length > 0 ? 'default' : 'filled'} onClick={goOn}>
            {t('piano.ready.on')}
          </Button>
        </Group>
      </Group>
    </Modal>
  );
}
