import { Title } from '@mantine/core';
import { isYoungVoice, planWeeks, type PlannedWeek } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Student } from '../../api/students.queries.ts';
import { shareText } from '../../text/numbers.ts';
import { shortDayText } from '../../text/times.ts';
import classes from './day.module.css';

function Share({ share }: Pick<PlannedWeek, 'share'>): ReactElement {
  const { t } = useTranslation();
  const apart = shareText(Math.abs(share - 1));
  if (share === 1) return <>{t('students.weeks.usual')}</>;
  return <>{share > 1 ? t('students.weeks.more', { apart }) : t('students.weeks.less', { apart })}</>;
}

interface WeeksBeforeProps {
  readonly student: Student;
  /** The day of the performance. */
  readonly date: string;
  readonly today: string;
}

/** The weeks to a performance: build, hold, ease off. A date of this week has none to plan. */
export function WeeksBefore({ student, date, today }: WeeksBeforeProps): ReactElement | null {
  const { t } = useTranslation();
  const isYoung = isYoungVoice(student.voice);
  const weeks = planWeeks(today, date, !isYoung);
  if (weeks.length < 2) return null;
  return (
    <section aria-label={t('students.weeks.title')} className={classes['plan']}>
      <Title order={2} fz={21}>
        {t('students.weeks.title')}
      </Title>
      <ol>
        {weeks.map(({ from, kind, share }) => (
          <li key={from} data-week={kind}>
            <time dateTime={from}>{t('students.weeks.from', { day: shortDayText(from) })}</time>
            <div>
              <b>{t(`students.weeks.kinds.${kind}`)}</b>
              <span>{t(`students.weeks.abouts.${kind}`)}</span>
            </div>
            <span>
              <Share share={share} />
            </span>
          </li>
        ))}
      </ol>
      <p>
        {t('students.weeks.guide')} {isYoung && t('students.weeks.young')}
      </p>
    </section>
  );
}
