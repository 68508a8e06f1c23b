import { Button, Group, Modal, ScrollArea, TextInput, UnstyledButton } from '@mantine/core';
import { calledByPlaying, LEAST_PLAYED } from '@soft-lark/core';
import { IconPiano } from '@tabler/icons-react';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Shelf } from '../../api/shelf.queries.ts';
import { ExerciseRow } from '../shelf/exercise-row.tsx';
import { PlayIt } from '../shelf/play-it.tsx';
import type { ShelfFilters } from '../shelf/shelf-filters.ts';
import { StageFilter } from '../shelf/stage-filter.tsx';
import { useFound } from '../shelf/use-found.ts';
import { usePlaced } from '../shelf/use-placed.ts';
import shelfClasses from '../shelf/shelf.module.css';
import classes from './bench.module.css';

/** More than anyone scrolls through; letters find the rest. */
const MOST_ROWS = 150;

interface ShelfPickerProps {
  readonly shelf: Shelf;
  readonly onAdd: (exerciseId: string) => void;
}

interface AddStepProps extends ShelfPickerProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

/** The shelf by letters and stages; in a dialog it is made anew each time it opens, so that no letters of the last search are left. */
export function ShelfPicker({ shelf, onAdd }: ShelfPickerProps): ReactElement {
  const { t } = useTranslation();
  const [filters, setFilters] = useState<ShelfFilters>({ q: '' });
  const [played, setPlayed] = useState<readonly number[] | null>(null);
  const { standing, found: sought, laid } = useFound(shelf, filters, undefined, usePlaced(shelf));
  const isPlayed = played !== null && played.length >= LEAST_PLAYED;
  const found = isPlayed ? calledByPlaying(sought, played) : sought;
  return (
    <div className={classes['picker']}>
      <Group gap="xs" mb="xs" wrap="nowrap">
        <TextInput
          data-autofocus
          type="search"
          aria-label={t('shelf.search')}
          placeholder={t('shelf.search')}
          flex={1}
          value={filters.q}
          onChange={({ currentTarget }) => {
            setFilters({ ...filters, q: currentTarget.value });
          }}
          onKeyDown={({ key }) => {
            const [first] = found;
            if (key === 'Enter' && filters.q !== '' && first) onAdd(first.id);
          }}
        />
        <Button
          aria-pressed={played !== null}
          leftSection={<IconPiano size={18} aria-hidden />}
          onClick={() => {
            setPlayed(played === null ? [] : null);
          }}
        >
          {t('shelf.playIt.open')}
        </Button>
      </Group>
      {played !== null && <PlayIt played={played} found={found.length} onPlayed={setPlayed} />}
      <StageFilter
        exercises={standing}
        value={filters.stage ?? null}
        onChange={(stage) => {
          setFilters({ q: filters.q, ...(stage && { stage }) });
        }}
      />
      <ScrollArea.Autosize mah={420}>
        {found.length === 0 && <p>{t('shelf.nothing')}</p>}
        {found.slice(0, MOST_ROWS).map((exercise) => (
          <UnstyledButton
            key={exercise.id}
            className={shelfClasses['row'] ?? ''}
            aria-label={exercise.name}
            onClick={() => {
              onAdd(exercise.id);
            }}
          >
            <ExerciseRow exercise={exercise} placed={laid.get(exercise.id) ?? null} />
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
