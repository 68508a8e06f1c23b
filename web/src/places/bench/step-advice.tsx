import { Button } from '@mantine/core';
import { IconArrowDownRight, IconArrowUpRight, IconLock } from '@tabler/icons-react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { adviseLaidStep, type AdviceAnswer, type LaidStep, type RoutineContext } from '@soft-lark/core';
import { useMemo, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { adviceAnswersQuery, answerAdvice, takeAdviceAnswerBack, useAdvicePast } from '../../api/history.queries.ts';
import { studentTodayQuery, type StudentToday } from '../../api/students.queries.ts';
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

/** What the student's day is once a top has moved, before the server says so. */
function moved(today: StudentToday, exerciseId: string, semitones: number): StudentToday {
  return { ...today, advised: [...today.advised, { exerciseId, semitones }] };
}

/** Writes down what was done with advice; either answer can be taken back for a moment. */
function useAnswer(studentId: string): (answered: Answered) => void {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const { queryKey: dayKey } = studentTodayQuery(studentId);
  const readAgain = async (): Promise<void> => {
    await Promise.all([
      queries.invalidateQueries(adviceAnswersQuery(studentId)),
      queries.invalidateQueries({ queryKey: dayKey }),
      queries.invalidateQueries({ queryKey: ['today'] }),
    ]);
  };
  const back = useMutation({ mutationFn: (id: string) => takeAdviceAnswerBack(studentId, id), onSettled: readAgain });
  const send = useMutation({
    mutationFn: (answered: Answered) => answerAdvice(studentId, { id: v7(), ...answered }),
    onMutate: ({ exerciseId, movesBy }) => {
      if (movesBy !== undefined) queries.setQueryData(dayKey, (today) => today && moved(today, exerciseId, movesBy));
    },
    onSuccess: ({ id, answer, movesBy }) => {
      if (answer === 'taken' && movesBy === undefined) return;
      offerUndo({
        message: t(answer === 'taken' ? 'bench.advice.taken' : 'bench.advice.refused'),
        label: t(answer === 'taken' ? 'bench.advice.takeBack' : 'bench.advice.undo'),
        undo: () => {
          back.mutate(id);
        },
      });
    },
    onSettled: readAgain,
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
  const { kind, verdict, value, movesBy, reason, days } = advice;
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
              if (movesBy === undefined) act({ type: 'set', stepId: step.id, settings: { [kind]: value } });
              answer({
                ...{ exerciseId: step.exercise.id, kind, verdict, answer: 'taken' },
                ...(movesBy !== undefined && { movesBy }),
              });
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
