import { Select } from '@mantine/core';
import { LEAST_RUNS } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { StudentProgress } from '../../api/history.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { dayText } from '../../text/times.ts';
import { FigurePicture } from './progress-pictures.tsx';
import { Question } from './progress-question.tsx';

const EASES = [1, 2, 3, 4, 5] as const;
/** So much room over and under the figures of a course. */
const ROOM = { tempo: 8, breath: 2 } as const;

/** How easy each run was said to be. */
export function EaseQuestion({ ease }: Pick<StudentProgress, 'ease'>): ReactElement {
  const { t } = useTranslation();
  const words = (value: number): string => t(`piano.easeWords.${String(value) as '1'}`);
  return (
    <Question
      title={t('students.progress.ease.title')}
      about={t('students.progress.ease.about')}
      head={(['day', 'ease', 'ordinary'] as const).map((name) => t(`students.progress.ease.${name}`))}
      rows={ease.map(({ date, ease: value, isOrdinary }) => [
        dayText(date),
        words(value),
        t(`students.progress.range.${isOrdinary ? 'yes' : 'no'}`),
      ])}
      isEnough={ease.filter(({ isOrdinary }) => isOrdinary).length >= LEAST_RUNS}
    >
      <FigurePicture
        points={ease.map(({ ease: value, ...point }) => ({ ...point, value }))}
        name={t('students.progress.ease.ease')}
        domain={[1, 5]}
        ticks={EASES}
        words={words}
      />
    </Question>
  );
}

/** One exercise over the weeks: its tempo, or how long a breath lasted. */
export function CourseQuestion({ courses }: Pick<StudentProgress, 'courses'>): ReactElement {
  const { t } = useTranslation();
  const shelf = useQuery(shelfQuery).data;
  const [chosen, setChosen] = useState<string | null>(null);
  const course = courses.find(({ exerciseId }) => exerciseId === chosen) ?? courses[0];
  const { figure = 'tempo', points = [] } = course ?? {};
  const values = points.map(({ value }) => value);
  const words = (value: number): string =>
    figure === 'tempo' ? t('students.progress.course.tempo', { count: value }) : String(value);
  return (
    <Question
      title={t('students.progress.course.title')}
      about={t('students.progress.course.about')}
      head={[t('students.progress.ease.day'), t(`students.progress.course.head.${figure}`)]}
      rows={points.map(({ date, value }) => [dayText(date), words(value)])}
      isEnough={course !== undefined}
      tools={
        <Select
          mb="xs"
          aria-label={t('students.progress.course.exercise')}
          data={courses.map(({ exerciseId }) => ({
            value: exerciseId,
            label: shelf?.get(exerciseId)?.name ?? exerciseId,
          }))}
          value={course?.exerciseId ?? null}
          onChange={setChosen}
        />
      }
    >
      <FigurePicture
        points={points}
        name={t(`students.progress.course.head.${figure}`)}
        domain={[Math.max(0, Math.min(...values) - ROOM[figure]), Math.max(...values) + ROOM[figure]]}
        words={words}
      />
    </Question>
  );
}
