import { Title } from '@mantine/core';
import { weekdayOf } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { todayQuery, type LessonToday } from '../../api/students.queries.ts';
import { useShown } from '../../shell/use-shown.ts';
import { useNow } from '../../ui/clock.ts';
import { Failure } from '../../ui/failure.tsx';
import { dayText, isElsewhere } from '../../text/times.ts';
import { Shape } from '../../ui/shape.tsx';
import { LessonRow } from './lesson-row.tsx';
import { OpenRuns } from './open-runs.tsx';
import { dayState } from './today-heading.ts';
import { NoLessons } from './no-lessons.tsx';
import { Unplanned } from './unplanned.tsx';
import classes from './today.module.css';

/** Beyond this nobody reckons in minutes. */
const HOURS_FROM_MINUTES = 90;

function Heading({
  day,
  lessons,
  timeZone,
}: {
  readonly day: string;
  readonly lessons: readonly LessonToday[];
  readonly timeZone: string;
}): ReactElement {
  const { t } = useTranslation();
  const now = useNow();
  const state = dayState(lessons, now, { day, timeZone });
  const weekday = t(`weekdays.${String(weekdayOf(day)) as '1'}`);
  const number = t('piano.numbers', { returnObjects: true })[lessons.length] ?? String(lessons.length);
  const when =
    state.nextId === undefined
      ? t('today.over')
      : state.isNow
        ? t('today.now')
        : state.minutesToNext < HOURS_FROM_MINUTES
          ? t('today.next', { count: state.minutesToNext })
          : t('today.nextHours', { count: Math.round(state.minutesToNext / 60) });
  return (
    <div className={classes['heading']}>
      <Title order={1} fz={32}>
        {t('today.heading', { count: lessons.length, weekday, number })}
      </Title>
      <p>
        {dayText(day)}
        {isElsewhere(now) && ` · ${t('today.zone', { zone: timeZone })}`}
        {lessons.length > 0 && <> · {when}</>}
      </p>
      <Unplanned />
    </div>
  );
}

/** The day's lessons in order; the next one stands out. */
export function TodayPlace(): ReactElement {
  const today = useQuery(todayQuery);
  const shelf = useQuery(shelfQuery);
  const session = useQuery(sessionQuery).data;
  const now = useNow();
  const { mayShow } = useShown();
  if (today.error && !today.data) return <Failure error={today.error} onRetry={() => void today.refetch()} />;
  if (!today.data || !shelf.data || !session) return <Shape />;
  const { lessons, day } = today.data;
  const { nextId } = dayState(lessons, now, { day, timeZone: session.timeZone });
  return (
    <>
      <Heading day={day} lessons={lessons} timeZone={session.timeZone} />
      <OpenRuns />
      {lessons.length === 0 && <NoLessons />}
      <ul className={classes['lessons']}>
        {lessons
          .filter(({ student }) => mayShow(student.id))
          .map((lesson) => (
            <LessonRow
              key={lesson.lesson.id}
              lesson={lesson}
              isNext={lesson.lesson.id === nextId}
              exercises={shelf.data}
              now={now}
            />
          ))}
      </ul>
    </>
  );
}
