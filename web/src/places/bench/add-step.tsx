import { Modal, ScrollArea, TextInput, UnstyledButton } from '@mantine/core';
import type { Exercise, Stage } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { ExerciseRow } from '../shelf/exercise-row.tsx';
import { findExercises } from '../shelf/find-exercises.ts';
import { StageFilter } from '../shelf/stage-filter.tsx';
import { usePlaced } from '../shelf/use-placed.ts';
import shelfClasses from '../shelf/shelf.module.css';
import classes from './bench.module.css';

interface ShelfPickerProps {
  readonly shelf: ReadonlyMap<string, Exercise>;
  readonly onAdd: (exerciseId: string) => void;
}

interface AddStepProps extends ShelfPickerProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

/** Made anew each time it opens, so that no letters of the last search are left. */
function ShelfPicker({ shelf, onAdd }: ShelfPickerProps): ReactElement {
  const { t } = useTranslation();
  const [query, setQuery] = useState('');
  const [stage, setStage] = useState<Stage | null>(null);
  const { place } = usePlaced(shelf);
  const all = [...shelf.values()];
  const found = findExercises(all, query, stage);
  return (
    <div className={classes['picker']}>
      <TextInput
        data-autofocus
        type="search"
        aria-label={t('shelf.search')}
        placeholder={t('shelf.search')}
        value={query}
        mb="xs"
        onChange={({ currentTarget }) => {
          setQuery(currentTarget.value);
        }}
        onKeyDown={({ key }) => {
          const [first] = found;
          if (key === 'Enter' && query !== '' && first) onAdd(first.id);
        }}
      />
      <StageFilter exercises={all} value={stage} onChange={setStage} />
      <ScrollArea.Autosize mah={420}>
        {found.length === 0 && <p>{t('shelf.nothing')}</p>}
        {found.map((exercise) => (
          <UnstyledButton
            key={exercise.id}
            className={shelfClasses['row'] ?? ''}
            aria-label={exercise.name}
            onClick={() => {
              onAdd(exercise.id);
            }}
          >
            <ExerciseRow exercise={exercise} placed={place(exercise)} />
          </UnstyledButton>
        ))}
      </ScrollArea.Autosize>
    </div>
  );
}

/** The shelf over the bench: letters, stages, one press puts the exercise where its stage belongs. */
export function AddStep({ isOpen, shelf, onAdd, onClose }: AddStepProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Modal opened={isOpen} onClose={onClose} title={t('bench.addTitle')} size={1120} yOffset={60} centered={false}>
      <ShelfPicker shelf={shelf} onAdd={onAdd} />
    </Modal>
  );
}
