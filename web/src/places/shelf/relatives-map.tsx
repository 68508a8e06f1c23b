import type { Exercise } from '@soft-lark/core';
import { memo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { Shelf } from '../../api/shelf.queries.ts';
import classes from './sheet.module.css';

type Relations = Pick<Exercise, 'id' | 'name' | 'relatives'>;
type As = Exercise['relatives'][number]['as'];

interface Neighbour {
  readonly id: string;
  readonly name: string;
  readonly words: readonly string[];
}

/** Relatives an exercise names, each once, with everything it is a relative as. */
function outward(exercise: Relations, shelf: Shelf, word: (as: As, when?: string) => string): readonly Neighbour[] {
  const found = new Map<string, Neighbour>();
  for (const { id, as, when } of exercise.relatives) {
    const other = shelf.get(id);
    if (!other) continue;
    const before = found.get(id);
    found.set(id, { id, name: other.name, words: [...(before?.words ?? []), word(as, when)] });
  }
  return [...found.values()];
}

interface ColumnProps {
  readonly title: string;
  readonly neighbours: readonly Neighbour[];
}

function Column({ title, neighbours }: ColumnProps): ReactElement {
  return (
    <ul aria-label={title}>
      {neighbours.map(({ id, name, words }) => (
        <li key={id}>
          <Link to={`/shelf/${id}`}>{name}</Link>
          <small>{words.join(' · ')}</small>
        </li>
      ))}
    </ul>
  );
}

interface RelativesMapProps {
  readonly exercise: Relations;
  readonly shelf: Shelf;
}

/** The relatives of an exercise as a small map one can walk: what leads here, and what it leads to. */
export const RelativesMap = memo(function RelativesMap({ exercise, shelf }: RelativesMapProps): ReactElement {
  const { t } = useTranslation();
  const to = outward(exercise, shelf, (as, when) =>
    when ? t(`shelf.obstacles.${when as 'seated'}`) : t(`shelf.relativeAs.${as}`),
  );
  const from = [...shelf.values()]
    .filter(({ relatives, id }) => id !== exercise.id && relatives.some((relative) => relative.id === exercise.id))
    .slice(0, 6)
    .map(({ id, name }) => ({ id, name, words: [t('shelf.sheet.leadsHere')] }));
  return (
    <div className={classes['map']}>
      <Column title={t('shelf.sheet.from')} neighbours={from} />
      <span className={classes['mapLine']} aria-hidden data-empty={from.length === 0} />
      <b>{exercise.name}</b>
      <span className={classes['mapLine']} aria-hidden data-empty={to.length === 0} />
      <Column title={t('shelf.relatives')} neighbours={to} />
    </div>
  );
});
