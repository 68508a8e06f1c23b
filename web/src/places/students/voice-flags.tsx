import { rangeNews, stageThatFits } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useAdvicePast } from '../../api/history.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { writeNote } from '../../text/note-names.ts';
import { listText } from '../../text/numbers.ts';
import { dayText } from '../../text/times.ts';
import { WithTerms } from '../../ui/with-terms.tsx';
import classes from './students.module.css';

/** What of a voice file wants attention today: a change, a check that is due, a lock, holds that are off. */
export function VoiceFlags({ today }: { readonly today: StudentToday }): ReactElement | null {
  const { t } = useTranslation();
  const { student, changeSince, checkDueInDays, holdsOff, lock } = today;
  const stage = stageThatFits(student.voice);
  const past = useAdvicePast(student.id);
  const news = past && rangeNews(past.runsOf, student.voice);
  const isDue = checkDueInDays !== null && checkDueInDays < 0;
  const flags = [
    ...(lock ? [{ words: t(`students.flags.lock.${lock.level}`, { day: dayText(lock.since) }), measure: false }] : []),
    ...(changeSince ? [{ words: t('students.flags.change', { day: dayText(changeSince) }), measure: true }] : []),
    ...(isDue ? [{ words: t('students.flags.due', { count: -checkDueInDays }), measure: true }] : []),
    ...(news
      ? [
          {
            words: t('students.flags.news', { note: writeNote(news.note), days: listText(news.days.map(dayText)) }),
            measure: true,
          },
        ]
      : []),
    ...(stage ? [{ words: t('students.flags.stage', { stage: t(`stagesOfChange.${stage}`) }), measure: false }] : []),
    ...(holdsOff ? [{ words: t('students.flags.holds'), measure: false }] : []),
  ];
  if (flags.length === 0) return null;
  return (
    <div className={classes['flags']} role="status">
      {flags.map(({ words, measure }) => (
        <p key={words}>
          <WithTerms>{words}</WithTerms>{' '}
          {measure && <Link to={`/students/${student.id}/check`}>{t('students.flags.measure')}</Link>}
        </p>
      ))}
    </div>
  );
}
