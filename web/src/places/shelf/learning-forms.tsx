import { formatPattern, practiceForms, type Pattern } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { clockText } from '../../text/times.ts';
import classes from './sheet.module.css';

/** How a fast pattern is learnt: slowly, in pieces, from its end, whole; each with its time. */
export function LearningForms({ pattern, tempo }: { readonly pattern: Pattern; readonly tempo: number }): ReactElement {
  const { t } = useTranslation();
  return (
    <ul className={classes['forms']}>
      {practiceForms(pattern, tempo).map(({ form, patterns, tempo: at, seconds }) => (
        <li key={form}>
          <b>{t(`shelf.practice.${form}`)}</b> {t('shelf.practice.at', { tempo: Math.round(at) })} ·{' '}
          {clockText(seconds)}
          {patterns.length > 1 && (
            <small>
              {patterns.map((piece, index) => (
                <span key={index}>{formatPattern(piece)}</span>
              ))}
            </small>
          )}
        </li>
      ))}
    </ul>
  );
}
