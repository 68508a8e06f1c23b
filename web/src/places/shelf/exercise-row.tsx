import { isStillWork, keysOf, spanOf, type Exercise, type LaidStep } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Contour } from '../../flight/contour.tsx';
import { clockText } from '../../text/times.ts';
import { useSharedScreen } from '../../ui/shared-screen.ts';
import { writeNote } from '../../text/note-names.ts';
import { sayProblem } from '../../text/say.ts';
import classes from './shelf.module.css';

interface ExerciseRowProps {
  readonly exercise: Exercise & { readonly own?: unknown };
  readonly placed: LaidStep | null;
}

function PlacedText({ placed }: { readonly placed: LaidStep | null }): ReactElement {
  const { t } = useTranslation();
  const [isShared] = useSharedScreen();
  if (!placed) return <span />;
  if (placed.problem)
    return (
      <span className={classes['problem']}>{isShared ? t('bench.leftOut') : sayProblem(placed.problem).message}</span>
    );
  if (placed.lowest === null || placed.highest === null) return <span />;
  const keys =
    placed.laid?.kind === 'pattern'
      ? t('shelf.keys', { count: keysOf(placed.laid.ladder.rungs).length })
      : t('bench.glide');
  return (
    <span>
      {t('shelf.upTo')} <b>{writeNote(placed.highest)}</b> · {keys}
    </span>
  );
}

/** One exercise in a list: its shape, what it is sung on, and what it comes to for the student in hand. */
export function ExerciseRow({ exercise, placed }: ExerciseRowProps): ReactElement {
  const { t } = useTranslation();
  const { work } = exercise;
  const sungOn = 'syllables' in work ? (work.syllables ?? '') : '';
  const span = spanOf(exercise);
  return (
    <>
      <Contour exercise={exercise} />
      <span className={classes['name']}>
        <b>{exercise.name}</b>
        {exercise.own !== undefined && <em>{t('shelf.yours')}</em>}
        <small>
          {t(`stages.${exercise.stage}`)}
          {work.kind === 'pattern' && ` · ${work.pattern}`}
        </small>
      </span>
      <span className={classes['syllables']}>{isStillWork(work) ? t('shelf.silent') : sungOn.replace('*', '')}</span>
      <span className={classes['figures']}>
        {t('shelf.load', { load: exercise.load })}
        {span !== null && ` · ${t('shelf.span', { count: span })}`}
      </span>
      <PlacedText placed={placed} />
      <span className={classes['time']}>{placed && !placed.problem ? clockText(placed.seconds) : ''}</span>
    </>
  );
}
