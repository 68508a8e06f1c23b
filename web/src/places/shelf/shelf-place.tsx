import { TextInput, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { STAGES, type Stage } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import { shelfQuery } from '../../api/routines.queries.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { ExerciseRow } from './exercise-row.tsx';
import { findExercises } from './find-exercises.ts';
import { StageFilter } from './stage-filter.tsx';
import { usePlaced } from './use-placed.ts';
import classes from './shelf.module.css';

/** The shelf: every exercise, found by letters and by stage. */
export function ShelfPlace(): ReactElement {
  const { t } = useTranslation();
  const shelf = useQuery(shelfQuery);
  const [address, setAddress] = useSearchParams();
  const { name, place } = usePlaced(shelf.data);
  const query = address.get('q') ?? '';
  const stage = STAGES.find((known) => known === address.get('stage')) ?? null;
  const show = (next: { readonly q: string; readonly stage: Stage | null }): void => {
    setAddress({ ...(next.q && { q: next.q }), ...(next.stage && { stage: next.stage }) }, { replace: true });
  };
  if (shelf.error && !shelf.data) return <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />;
  if (!shelf.data) return <Shape rows={9} height={42} />;
  const all = [...shelf.data.values()];
  const found = findExercises(all, query, stage);
  return (
    <>
      <div className={classes['heading']}>
        <Title order={1} fz={32}>
          {t('shelf.heading', { count: found.length })}
        </Title>
        <p>{name ? t('shelf.for', { name }) : t('shelf.nobody')}</p>
        <TextInput
          w={300}
          type="search"
          aria-label={t('shelf.search')}
          placeholder={t('shelf.search')}
          value={query}
          onChange={({ currentTarget }) => {
            show({ q: currentTarget.value, stage });
          }}
        />
      </div>
      <StageFilter
        exercises={all}
        value={stage}
        onChange={(chosen) => {
          show({ q: query, stage: chosen });
        }}
      />
      {found.length === 0 && <p>{t('shelf.nothing')}</p>}
      <ul className={classes['rows']}>
        {found.map((exercise) => (
          <li key={exercise.id}>
            <Link to={`/shelf/${exercise.id}`} className={classes['row']}>
              <ExerciseRow exercise={exercise} placed={place(exercise)} />
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
