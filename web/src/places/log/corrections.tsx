import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { RunDetail } from '../../api/runs.queries.ts';
import { momentText } from '../../text/times.ts';
import classes from './log.module.css';

interface CorrectionsProps {
  readonly run: RunDetail;
  readonly nameOf: (key: RunDetail['sung'][number]) => string;
}

/** What a teacher corrected in a run, each time with what was there before. */
export function Corrections({ run, nameOf }: CorrectionsProps): ReactElement | null {
  const { t } = useTranslation();
  if (run.corrections.length === 0) return null;
  const keyById = new Map(run.sung.map((key) => [key.id, key]));
  return (
    <details className={classes['corrections']}>
      <summary>{t('log.correct.done', { count: run.corrections.length })}</summary>
      <ul>
        {run.corrections.map(({ madeAt, ease, note, keys }) => (
          <li key={madeAt}>
            {t('log.correct.before', { when: momentText(madeAt) })}{' '}
            {[
              ease !== undefined && t('log.correct.easeWas', { ease: ease ?? '–' }),
              note !== undefined && t('log.correct.noteWas', { note: note === '' ? '–' : note }),
              ...keys.flatMap(({ id, outcome, marks }) => {
                const key = keyById.get(id);
                const was = [t(`log.${outcome}`), ...marks.map((mark) => t(`piano.marks.${mark}`))].join(', ');
                return key ? [`${nameOf(key)}: ${was}`] : [];
              }),
            ]
              .filter((part) => typeof part === 'string')
              .join(' · ')}
          </li>
        ))}
      </ul>
    </details>
  );
}
