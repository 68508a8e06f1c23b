import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { locksQuery } from '../../api/gate.queries.ts';
import { dayText, momentText } from '../../text/times.ts';
import classes from './log.module.css';

/** What the gate has locked for one student, and how the teacher came back from it. */
export function LockList({ studentId }: { readonly studentId: string }): ReactElement | null {
  const { t } = useTranslation();
  const locks = useQuery(locksQuery(studentId)).data ?? [];
  if (locks.length === 0) return null;
  return (
    <section className={classes['locks']}>
      <h2>{t('log.locks.title')}</h2>
      <ul>
        {locks.map(({ id, level, since, liftedAt, liftedBy, reason }) => (
          <li key={id}>
            {dayText(since)}: {t(`log.locks.${level}`)}
            {liftedAt !== null && (
              <>
                {' '}
                {t('log.locks.lifted', { when: momentText(liftedAt), who: liftedBy ?? '' })} <q>{reason}</q>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
