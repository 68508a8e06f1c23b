import { Button } from '@mantine/core';
import { IconArrowDownRight, IconArrowUpRight, IconLock } from '@tabler/icons-react';
import { useQuery } from '@tanstack/react-query';
import type { LaidStep, RoutineContext } from '@soft-lark/core';
import { useMemo, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { historyQuery } from '../../api/history.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { writeNote } from '../../text/note-names.ts';
import { dayText } from '../../text/times.ts';
import { adviceOf } from './advice-of.ts';
import type { BenchAction } from './bench.reducer.ts';
import classes from './bench.module.css';

interface StepAdviceProps {
  readonly step: LaidStep;
  readonly studentId: string;
  readonly context: RoutineContext;
  readonly act: Dispatch<BenchAction>;
}

/** What the last runs of this exercise say of it: what to change, why, and one press to do so. */
export function StepAdvice({ step, studentId, context, act }: StepAdviceProps): ReactElement | null {
  const { t } = useTranslation();
  const past = useQuery(historyQuery(studentId)).data;
  const today = useQuery(sessionQuery).data?.today ?? '';
  const advice = useMemo(() => {
    const runs = past?.runsOf.find(({ exerciseId }) => exerciseId === step.exercise.id)?.runs ?? [];
    return adviceOf(step, runs, context, today);
  }, [past, step, context, today]);
  if (!advice) return null;
  const { kind, verdict, value, reason, days } = advice;
  const change = kind === 'ceiling' ? writeNote(value) : t('log.tempo', { tempo: value });
  const Picture = { raise: IconArrowUpRight, ease: IconArrowDownRight, hold: IconLock }[verdict];
  return (
    <p className={classes['advice']} data-verdict={verdict} role="note" aria-label={t('bench.advice.title')}>
      <Picture size={18} aria-hidden />
      <span>
        {verdict !== 'hold' && <b>{t(`bench.advice.${kind}`, { value: change })} </b>}
        {t(`bench.advice.why.${reason as 'good-runs'}`, { days: days.map(dayText).join(', ') })}
      </span>
      {verdict !== 'hold' && (
        <Button
          size="sm"
          onClick={() => {
            act({ type: 'set', stepId: step.id, settings: { [kind]: value } });
          }}
        >
          {t('bench.advice.take')}
        </Button>
      )}
    </p>
  );
}
