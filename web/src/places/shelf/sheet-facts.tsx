import { spanOf, type Exercise } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { goalText } from '../../text/say.ts';
import type { Shelf } from '../../api/shelf.queries.ts';
import { WithTerms } from '../../ui/with-terms.tsx';
import classes from './sheet.module.css';

/** The plain facts of an exercise in one line, and what must come before it. */
export function SheetFacts({ exercise, shelf }: { readonly exercise: Exercise; readonly shelf: Shelf }): ReactElement {
  const { t } = useTranslation();
  const { stage, load, level, does, register, noise, kit, goals, styles, voices, resistance, needs, copyOf } = exercise;
  const span = spanOf(exercise);
  const version = shelf.get(exercise.id)?.own?.version ?? 0;
  const origin = copyOf === undefined ? undefined : shelf.get(copyOf);
  const facts = [
    t(`stages.${stage}`),
    t('shelf.load', { load }),
    ...(span === null ? [] : [t('shelf.span', { count: span })]),
    t(`shelf.levels.${level}`),
    t(`shelf.does.${does}`),
    ...(register === 'any' ? [] : [t(`shelf.registers.${register}`)]),
    ...(noise === 'normal' ? [] : [t(`shelf.noises.${noise}`)]),
    ...(resistance === undefined ? [] : [t('shelf.sheet.resistance', { resistance })]),
    ...kit,
    ...goals.map(goalText),
    ...styles.map((style) => t(`styles.${style}`)),
    ...(voices.length === 0 ? [] : [voices.map((voice) => t(`voices.${voice}`)).join(', ')]),
  ];
  return (
    <p className={classes['facts']}>
      {[...new Set(facts)].map((fact) => (
        <span key={fact}>
          <WithTerms>{fact}</WithTerms>
        </span>
      ))}
      {needs.map((id) => (
        <span key={id}>
          {t('shelf.sheet.after')} <Link to={`/shelf/${id}`}>{shelf.get(id)?.name ?? id}</Link>
        </span>
      ))}
      {version > 1 && (
        <Link to={`/shelf/compare?a=${exercise.id}@${String(version - 1)}&b=${exercise.id}`}>
          {t('shelf.compareVersions')}
        </Link>
      )}
      {origin && (
        <span>
          {t('shelf.sheet.from')} <Link to={`/shelf/${origin.id}`}>{origin.name}</Link>{' '}
          <Link to={`/shelf/compare?a=${exercise.id}&b=${origin.id}`}>{t('shelf.sheet.compareOrigin')}</Link>
        </span>
      )}
    </p>
  );
}
