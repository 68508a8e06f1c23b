import { Checkbox } from '@mantine/core';
import type { LaidStep } from '@soft-lark/core';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { ShelfExercise } from '../../api/shelf.queries.ts';
import { Term } from '../../ui/term.tsx';
import { ExerciseRow } from './exercise-row.tsx';
import { useHear } from './use-hear.ts';
import classes from './shelf.module.css';

const ROW = 49;
/** Rows kept ready above and below what is seen, so that a quick scroll never shows an empty page. */
const AHEAD = 14;

const HEADS = ['shape', 'name', 'sungOn', 'load', 'today', 'time'] as const;

interface ShelfListProps {
  readonly exercises: readonly ShelfExercise[];
  readonly laid: ReadonlyMap<string, LaidStep>;
  readonly chosen: ReadonlySet<string>;
  readonly onChoose: (id: string, isChosen: boolean) => void;
}

/** The rows of the shelf; only those near the window are drawn. Space plays the row that has the focus. */
export function ShelfList({ exercises, laid, chosen, onChoose }: ShelfListProps): ReactElement {
  const { t } = useTranslation();
  const { hear } = useHear();
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    setTop((list.current?.getBoundingClientRect().top ?? 0) + window.scrollY);
  }, []);
  const rows = useWindowVirtualizer({
    count: exercises.length,
    estimateSize: () => ROW,
    overscan: AHEAD,
    scrollMargin: top,
  });
  return (
    <>
      <div className={classes['heads']}>
        {HEADS.map((name) => (
          <span key={name}>
            {name === 'load' ? <Term name="load">{t('shelf.heads.load')}</Term> : t(`shelf.heads.${name}`)}
          </span>
        ))}
      </div>
      <ul ref={list} className={classes['rows']} style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start, key }) => {
          const exercise = exercises[index];
          if (!exercise) return null;
          const placed = laid.get(exercise.id) ?? null;
          return (
            <li key={key} ref={rows.measureElement} data-index={index} style={{ top: start - top }}>
              <Checkbox
                aria-label={t('shelf.choose', { name: exercise.name })}
                checked={chosen.has(exercise.id)}
                onChange={({ currentTarget }) => {
                  onChoose(exercise.id, currentTarget.checked);
                }}
              />
              <Link
                to={`/shelf/${exercise.id}`}
                className={classes['row']}
                onKeyDown={(event) => {
                  if (event.key !== ' ') return;
                  event.preventDefault();
                  hear(exercise, placed);
                }}
              >
                <ExerciseRow exercise={exercise} placed={placed} />
              </Link>
            </li>
          );
        })}
      </ul>
    </>
  );
}
