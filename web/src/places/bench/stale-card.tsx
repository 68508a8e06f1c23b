import { Button, Group, SegmentedControl } from '@mantine/core';
import { takeTheirs, type Exercise, type Merged, type MergeConflict } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { stepWords } from './action-words.ts';
import type { EditedRoutine } from './bench.reducer.ts';
import classes from './bench.module.css';

type Conflict = MergeConflict<EditedRoutine>;

interface StaleCardProps {
  readonly merged: Merged<EditedRoutine>;
  readonly shelf: ReadonlyMap<string, Exercise>;
  readonly onTake: () => void;
  readonly onSettle: (routine: EditedRoutine) => void;
}

const keyOf = ({ what, stepId = '' }: Conflict): string => `${what} ${stepId}`;

function useSides(shelf: StaleCardProps['shelf']): (conflict: Conflict) => {
  readonly title: string;
  readonly mine: string;
  readonly theirs: string;
} {
  const { t } = useTranslation();
  const nameOf = (exerciseId: string): string => shelf.get(exerciseId)?.name ?? t('bench.did.step');
  return ({ what, stepId, mine, theirs }) => {
    switch (what) {
      case 'step': {
        const [here, there] = [mine, theirs].map(({ steps }) => steps.find(({ id }) => id === stepId));
        const title = nameOf((here ?? there)?.exerciseId ?? '');
        const words = (own: typeof here, other: typeof here): string => {
          if (!own) return t('bench.merge.gone');
          if (other && other.exerciseId !== own.exerciseId) return nameOf(own.exerciseId);
          return stepWords(other ?? { ...own, settings: {} }, own, t) || t('bench.merge.stays');
        };
        return { title, mine: words(here, there), theirs: words(there, here) };
      }
      case 'order':
        return { title: t('bench.order'), mine: t('bench.merge.here'), theirs: t('bench.merge.there') };
      case 'kind':
        return {
          title: t('bench.occasion'),
          mine: t(`bench.kind.${mine.kind}`),
          theirs: t(`bench.kind.${theirs.kind}`),
        };
      case 'name':
      case 'minutes':
        return { title: t(`bench.${what}`), mine: String(mine[what]), theirs: String(theirs[what]) };
    }
  };
}

/** Two windows changed the same thing: both sides of each, and the teacher says which stays. The rest is merged already. */
export function StaleCard({ merged, shelf, onTake, onSettle }: StaleCardProps): ReactElement {
  const { t } = useTranslation();
  const [theirs, setTheirs] = useState<ReadonlySet<string>>(new Set());
  const sidesOf = useSides(shelf);
  const settled = merged.conflicts
    .filter((conflict) => theirs.has(keyOf(conflict)))
    .reduce((routine, conflict) => takeTheirs(routine, conflict), merged.routine);
  return (
    <div className={classes['stale']} role="alert">
      <p>
        <b>{t('bench.staleTitle')}</b> {t('bench.staleText')}
      </p>
      <ul>
        {merged.conflicts.map((conflict) => {
          const key = keyOf(conflict);
          const sides = sidesOf(conflict);
          return (
            <li key={key}>
              <span>{sides.title}</span>
              <SegmentedControl
                aria-label={sides.title}
                size="sm"
                data={[
                  { value: 'mine', label: t('bench.merge.mine', { value: sides.mine }) },
                  { value: 'theirs', label: t('bench.merge.theirs', { value: sides.theirs }) },
                ]}
                value={theirs.has(key) ? 'theirs' : 'mine'}
                onChange={(value) => {
                  const rest = [...theirs].filter((other) => other !== key);
                  setTheirs(new Set(value === 'theirs' ? [...rest, key] : rest));
                }}
              />
            </li>
          );
        })}
      </ul>
      <Group>
        <Button onClick={onTake}>{t('app.takeTheirs')}</Button>
        <Button
          variant="filled"
          onClick={() => {
            onSettle(settled);
          }}
        >
          {t('bench.merge.keep')}
        </Button>
      </Group>
    </div>
  );
}
