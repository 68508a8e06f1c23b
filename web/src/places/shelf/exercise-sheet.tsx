import { useQuery } from '@tanstack/react-query';
import { exerciseSchema, type Exercise } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { v7 } from 'uuid';
import { exerciseOf, shelfQuery } from '../../api/shelf.queries.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { BEGINNINGS } from './kinds-of-work.data.ts';
import { Sheet } from './sheet.tsx';

/** A new exercise to begin with: the smallest tune there is. */
function blank(name: string): Exercise {
  return exerciseSchema.parse({
    id: v7(),
    name,
    shortName: name.slice(0, 14),
    ...BEGINNINGS.tune,
  });
}

/** One exercise of the shelf. */
export function ExerciseSheet(): ReactElement {
  const { t } = useTranslation();
  const { exerciseId = '' } = useParams();
  const shelf = useQuery(shelfQuery);
  if (shelf.error && !shelf.data) return <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />;
  if (!shelf.data) return <Shape />;
  const stored = shelf.data.get(exerciseId);
  if (!stored) return <Failure error={new Error(t('app.notHere'))} />;
  return <Sheet key={exerciseId} exercise={exerciseOf(stored)} stored={stored} shelf={shelf.data} />;
}

/** An exercise that is not on the shelf yet. */
export function NewExercise(): ReactElement {
  const { t } = useTranslation();
  const shelf = useQuery(shelfQuery);
  const [exercise] = useState(() => blank(t('shelf.sheet.newName')));
  if (shelf.error && !shelf.data) return <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />;
  if (!shelf.data) return <Shape />;
  return <Sheet exercise={exercise} stored={null} shelf={shelf.data} />;
}
