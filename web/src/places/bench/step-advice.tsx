import { Button } from '@mantine/core';
import { IconArrowDownRight, IconArrowUpRight, IconLock } from '@tabler/icons-react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { adviseLaidStep, type AdviceAnswer, type LaidStep, type RoutineContext } from '@soft-lark/core';
import { useMemo, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { adviceAnswersQuery, answerAdvice, takeAdviceAnswerBack, useAdvicePast } from '../../api/history.queries.ts';
import { writeNote } from '../../text/note-names.ts';
import { say } from '../../text/say.ts';
import { offerUndo } from '../../ui/offer-undo.tsx';
import type { BenchAction } from './bench.reducer.ts';
import classes from './bench.module.css';

interface StepAdviceProps {
  readonly step: LaidStep;
  readonly studentId: string;
  readonly context: RoutineContext;
  readonly act: Dispatch<BenchAction>;
}

type Answered = Omit<AdviceAnswer, 'date'>;

/** Writes down what was done with advice; what is refused can be asked for again. */
function useAnswer(studentId: string): (answered: Answered) => void {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const again = { onSuccess: () => queries.invalidateQueries(adviceAnswersQuery(studentId)) };
  const back = useMutation({ mutationFn: (id: string) => takeAdviceAnswerBack(studentId, id), ...again });
  const send = useMutation({
    mutationFn: (answered: Answered) => answerAdvice(studentId, { id: v7(), ...answered }),
    onSuccess: async ({ id, answer }) => {
      await again.onSuccess();
      if (answer !== 'refused') return;
      const undo = (): void => {
        back.mutate(id);
      };
      offerUndo({ message: t('bench.advice.refused'), label: t('bench.advice.undo'), undo });
    },
  });
  return send.mutate;
}

/** What the last runs of this exercise say of it: what to change, why, and one press to do so or to leave it. */
export function StepAdvice({ step, studentId, context, act }: StepAdviceProps): ReactElement | null {
  const { t } = useTranslation();
  const past = useAdvicePast(studentId);
  const answer = useAnswer(studentId);
  const advice = useMemo(() => past && adviseLaidStep(step, context, past), [past, step, context]);
  if (!advice) return null;
  const { kind, verdict, value, reason, days } = advice;
  const change = kind === 'ceiling' ? writeNote(value) : t('log.tempo', { tempo: value });
  const Picture = { raise: IconArrowUpRight, ease: IconArrowDownRight, hold: IconLock }[verdict];
  return (
    <p className={classes['advice']} data-verdict={verdict} role="note" aria-label={t('bench.advice.title')}>
      <Picture size={18} aria-hidden />
      <span>
        {verdict !== 'hold' && <b>{t(`bench.advice.${kind}`, { value: change })} </b>}
        {say({ code: `advice.${reason}`, values: { days: days.map((day) => ({ day })) } })}
      </span>
      {verdict !== 'hold' && (
        <>
          <Button
            size="sm"
            onClick={() => {
              act({ type: 'set', stepId: step.id, settings: { [kind]: value } });
              answer({ exerciseId: step.exercise.id, kind, verdict, answer: 'taken' });
            }}
          >
            {t('bench.advice.take')}
          </Button>
          <Button
            size="sm"
            variant="subtle"
            onClick={() => {
              answer({ exerciseId: step.exercise.id, kind, verdict, answer: 'refused' });
            }}
          >
            {t('bench.advice.refuse')}
          </Button>
        </>
      )}
    </p>
  );
}
