import { Anchor, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { Exercise } from '@soft-lark/core';
import type { ReactElement, ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useParams } from 'react-router';
import { shelfQuery } from '../../api/routines.queries.ts';
import { Failure } from '../../ui/failure.tsx';
import { LimitNote } from '../../ui/limit-note.tsx';
import { Shape } from '../../ui/shape.tsx';
import { ExerciseRow } from './exercise-row.tsx';
import { usePlaced } from './use-placed.ts';
import classes from './shelf.module.css';

function Block({ title, children }: { readonly title: string; readonly children: ReactNode }): ReactElement {
  return (
    <section className={classes['block']}>
      <h2>{title}</h2>
      {children}
    </section>
  );
}

function Relatives({
  exercise,
  shelf,
}: {
  readonly exercise: Exercise;
  readonly shelf: ReadonlyMap<string, Exercise>;
}): ReactElement {
  const { t } = useTranslation();
  return (
    <Block title={t('shelf.relatives')}>
      <ul>
        {exercise.relatives.map(({ id, as, when }) => (
          <li key={`${id}-${as}`}>
            <Link to={`/shelf/${id}`}>{shelf.get(id)?.name ?? id}</Link> · {t(`shelf.relativeAs.${as}`)}
            {when && ` · ${t(`shelf.obstacles.${when}`)}`}
          </li>
        ))}
      </ul>
    </Block>
  );
}

/** One exercise: what it is for, what to say, what to watch for, what to take instead. */
export function ExerciseSheet(): ReactElement {
  const { t } = useTranslation();
  const { exerciseId = '' } = useParams();
  const shelf = useQuery(shelfQuery);
  const { name, place } = usePlaced(shelf.data);
  const exercise = shelf.data?.get(exerciseId);
  if (shelf.error && !shelf.data) return <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />;
  if (!shelf.data) return <Shape />;
  if (!exercise) return <Failure error={new Error(t('app.notHere'))} />;
  const placed = place(exercise);
  return (
    <>
      <Anchor component={Link} to="/shelf" className={classes['back'] ?? ''}>
        ← {t('shelf.back')}
      </Anchor>
      <Title order={1} fz={32}>
        {exercise.name}
      </Title>
      <p className={classes['why']}>{exercise.why}</p>
      <div className={classes['row']} data-plain>
        <ExerciseRow exercise={exercise} placed={placed} />
      </div>
      {name !== undefined && placed?.limits && (
        <p>
          {t('students.between', { name })}{' '}
          <LimitNote limits={placed.limits} context={placed.limitContext} note={placed.limits.floor} />{' '}
          {t('students.and')}{' '}
          <LimitNote limits={placed.limits} context={placed.limitContext} note={placed.limits.ceiling} />
        </p>
      )}
      <div className={classes['sheet']}>
        <Block title={t('shelf.cues')}>
          <ul>
            {exercise.cues.map(({ text, at }) => (
              <li key={text}>
                {text} <small>{t(`shelf.cueAt.${at}`)}</small>
              </li>
            ))}
          </ul>
        </Block>
        <Block title={t('shelf.watch')}>
          <ul>
            {exercise.watchFor.map(({ seen, causes, remedies }) => (
              <li key={seen}>
                <b>{seen}</b>, {t('shelf.causes')} {causes.join(', ')}. {remedies.map(({ text }) => text).join(' ')}
              </li>
            ))}
          </ul>
        </Block>
        <Relatives exercise={exercise} shelf={shelf.data} />
        {exercise.cautions.length > 0 && (
          <Block title={t('shelf.cautions')}>
            <ul>
              {exercise.cautions.map((caution) => (
                <li key={caution}>{caution}</li>
              ))}
            </ul>
          </Block>
        )}
      </div>
    </>
  );
}
