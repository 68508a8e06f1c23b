import { ActionIcon, Button, Group, NumberInput, Select, TextInput } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { addLesson, lessonsQuery, removeLesson } from '../../api/students.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import classes from './students.module.css';

const DAYS = ['1', '2', '3', '4', '5', '6', '7'] as const;

/** The weekly lessons of a student. */
export function Lessons({ studentId }: { readonly studentId: string }): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const lessons = (useQuery(lessonsQuery).data ?? []).filter((lesson) => lesson.studentId === studentId);
  const [weekday, setWeekday] = useState<string>('1');
  const [startsAt, setStartsAt] = useState('15:00');
  const [minutes, setMinutes] = useState(30);
  const onSuccess = (): void => {
    void queries.invalidateQueries({ queryKey: lessonsQuery.queryKey });
    void queries.invalidateQueries({ queryKey: ['today'] });
  };
  const add = useMutation({
    mutationFn: () => addLesson({ id: v7(), studentId, weekday: Number(weekday), startsAt, minutes }),
    onSuccess,
  });
  const remove = useMutation({ mutationFn: removeLesson, onSuccess });
  return (
    <section className={classes['block']}>
      <h2>{t('students.lessons')}</h2>
      {lessons.length === 0 && <p>{t('students.noLessons')}</p>}
      <ul className={classes['lessons']}>
        {lessons.map((lesson) => (
          <li key={lesson.id}>
            {t(`weekdays.${String(lesson.weekday) as '1'}`)}, {lesson.startsAt},{' '}
            {t('today.minutes', { count: lesson.minutes })}
            <ActionIcon
              size="sm"
              aria-label={`${t('students.remove')} ${t(`weekdays.${String(lesson.weekday) as '1'}`)} ${lesson.startsAt}`}
              onClick={() => {
                remove.mutate(lesson.id);
              }}
            >
              <IconX size={15} />
            </ActionIcon>
          </li>
        ))}
      </ul>
      <Group gap="xs" align="flex-end">
        <Select
          w={130}
          label={t('students.weekday')}
          data={DAYS.map((day) => ({ value: day, label: t(`weekdays.${day}`) }))}
          value={weekday}
          onChange={(day) => {
            if (day) setWeekday(day);
          }}
        />
        <TextInput
          w={136}
          type="time"
          label={t('students.time')}
          value={startsAt}
          onChange={({ currentTarget }) => {
            setStartsAt(currentTarget.value);
          }}
        />
        <NumberInput
          w={84}
          label={t('students.minutes')}
          min={5}
          max={240}
          value={minutes}
          onChange={(value) => {
            if (typeof value === 'number') setMinutes(value);
          }}
        />
        <Button
          loading={add.isPending}
          onClick={() => {
            add.mutate();
          }}
        >
          {t('students.addLesson')}
        </Button>
      </Group>
      <FormProblem error={add.error ?? remove.error} />
    </section>
  );
}
