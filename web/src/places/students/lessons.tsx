import { ActionIcon, Button, Group, NumberInput, Select } from '@mantine/core';
import { TimePicker } from '@mantine/dates';
import { IconX } from '@tabler/icons-react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { sessionQuery } from '../../api/session.queries.ts';
import { addLesson, lessonsQuery, removeLesson, studentsQuery, type Lesson } from '../../api/students.queries.ts';
import { useShown } from '../../shell/use-shown.ts';
import { timeText } from '../../text/times.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { offerUndo } from '../../ui/offer-undo.tsx';
import { overlapping } from './overlapping.ts';
import classes from './students.module.css';

const DAYS = ['1', '2', '3', '4', '5', '6', '7'] as const;

function useWordsOf(): (lesson: Lesson) => string {
  const { t } = useTranslation();
  return ({ weekday, startsAt }) => `${t(`weekdays.${String(weekday) as '1'}`)}, ${timeText(startsAt)}`;
}

/** Whom a lesson meets in the week, in words; empty where it meets nobody. */
function useMeets(slot: Pick<Lesson, 'weekday' | 'startsAt' | 'minutes'>): string {
  const { t } = useTranslation();
  const all = useQuery(lessonsQuery).data ?? [];
  const students = useQuery(studentsQuery).data ?? [];
  const { mayShow } = useShown();
  const met = slot.startsAt === '' ? [] : overlapping(slot, all);
  return met
    .map((lesson) =>
      t('students.overlap', {
        name: mayShow(lesson.studentId)
          ? students.find(({ id }) => id === lesson.studentId)?.name
          : t('students.someoneElse'),
        time: timeText(lesson.startsAt),
      }),
    )
    .join(' ');
}

interface SlotFieldsProps {
  readonly weekday: string;
  readonly startsAt: string;
  readonly minutes: number;
  readonly onWeekday: (weekday: string) => void;
  readonly onStartsAt: (startsAt: string) => void;
  readonly onMinutes: (minutes: number) => void;
}

function SlotFields({ weekday, startsAt, minutes, onWeekday, onStartsAt, onMinutes }: SlotFieldsProps): ReactElement {
  const { t } = useTranslation();
  const session = useQuery(sessionQuery).data;
  return (
    <>
      <Select
        w={130}
        label={t('students.weekday')}
        data={DAYS.map((day) => ({ value: day, label: t(`weekdays.${day}`) }))}
        value={weekday}
        onChange={(day) => {
          if (day) onWeekday(day);
        }}
      />
      <TimePicker
        w={136}
        format={session?.clock === '12' ? '12h' : '24h'}
        label={t('students.time')}
        hoursInputLabel={t('students.hours')}
        minutesInputLabel={t('students.minutesOfHour')}
        amPmInputLabel={t('students.halfOfDay')}
        value={startsAt}
        onChange={(time) => {
          onStartsAt(time.slice(0, 5));
        }}
      />
      <NumberInput
        w={84}
        label={t('students.minutes')}
        min={5}
        max={240}
        value={minutes}
        onChange={(value) => {
          if (typeof value === 'number') onMinutes(value);
        }}
      />
    </>
  );
}

/** The weekly lessons of a student. */
export function Lessons({ studentId }: { readonly studentId: string }): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const all = useQuery(lessonsQuery).data ?? [];
  const lessons = all.filter((lesson) => lesson.studentId === studentId);
  const [weekday, setWeekday] = useState<string>('1');
  const [startsAt, setStartsAt] = useState('15:00');
  const [minutes, setMinutes] = useState(30);
  const slot = { weekday: Number(weekday), startsAt, minutes };
  const wordsOf = useWordsOf();
  const meets = useMeets(slot);
  const onSuccess = (): void => {
    void queries.invalidateQueries({ queryKey: lessonsQuery.queryKey });
    void queries.invalidateQueries({ queryKey: ['today'] });
  };
  const add = useMutation({ mutationFn: () => addLesson({ id: v7(), studentId, ...slot }), onSuccess });
  const bringBack = useMutation({ mutationFn: addLesson, onSuccess });
  const remove = useMutation({
    mutationFn: ({ id }: Lesson) => removeLesson(id),
    onSuccess: (_, lesson) => {
      onSuccess();
      offerUndo({
        message: t('students.lessonGone', { lesson: wordsOf(lesson) }),
        label: t('app.undo'),
        undo: () => {
          bringBack.mutate(lesson);
        },
      });
    },
  });
  return (
    <section className={classes['block']}>
      <h2>{t('students.lessons')}</h2>
      {lessons.length === 0 && <p>{t('students.noLessons')}</p>}
      <ul className={classes['lessons']}>
        {lessons.map((lesson) => (
          <li key={lesson.id}>
            {wordsOf(lesson)}, {t('today.minutes', { count: lesson.minutes })}
            <ActionIcon
              size="sm"
              aria-label={`${t('students.remove')} ${wordsOf(lesson)}`}
              onClick={() => {
                remove.mutate(lesson);
              }}
            >
              <IconX size={15} />
            </ActionIcon>
          </li>
        ))}
      </ul>
      <Group gap="xs" align="flex-end">
        <SlotFields
          {...{ weekday, startsAt, minutes }}
          onWeekday={setWeekday}
          onStartsAt={setStartsAt}
          onMinutes={setMinutes}
        />
        <Button
          loading={add.isPending}
          disabled={startsAt === ''}
          onClick={() => {
            add.mutate();
          }}
        >
          {t('students.addLesson')}
        </Button>
      </Group>
      {meets !== '' && (
        <p role="status" className={classes['overlap']}>
          {meets}
        </p>
      )}
      <FormProblem error={add.error ?? remove.error ?? bringBack.error} />
    </section>
  );
}
