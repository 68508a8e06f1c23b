import { Button, Group, Popover, Select, Stack, TextInput } from '@mantine/core';
import { exerciseFileOf } from '@soft-lark/core';
import { useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { v7 } from 'uuid';
import {
  exerciseOf,
  keepCollection,
  type Collection,
  type Shelf,
  type ShelfExercise,
} from '../../api/shelf.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { saveFile } from '../../ui/save-file.ts';
import { AddToRoutine } from './add-to-routine.tsx';
import classes from './shelf.module.css';

interface ChosenBarProps {
  readonly chosen: readonly ShelfExercise[];
  readonly shelf: Shelf;
  readonly collections: readonly Collection[];
  /** The collection in view. */
  readonly collection: Collection | undefined;
  readonly onDone: () => void;
}

interface CollectProps {
  readonly collections: readonly Collection[];
  readonly ids: string[];
  readonly keep: UseMutationResult<unknown, Error, Parameters<typeof keepCollection>[0]>;
}

/** Into a collection that is there, or a new one. */
function Collect({ collections, ids, keep }: CollectProps): ReactElement {
  const { t } = useTranslation();
  const [name, setName] = useState('');
  const [target, setTarget] = useState<string | null>(null);
  const collect = (): void => {
    const there = collections.find(({ id }) => id === target);
    keep.mutate(
      there
        ? { ...there, exercises: [...new Set([...there.exercises, ...ids])] }
        : { id: v7(), version: 0, name: name.trim(), exercises: ids },
    );
  };
  return (
    <Popover width={320} position="top-end" trapFocus>
      <Popover.Target>
        <Button>{t('shelf.collect')}</Button>
      </Popover.Target>
      <Popover.Dropdown>
        <Stack gap="sm">
          {collections.length > 0 && (
            <Select
              clearable
              comboboxProps={{ withinPortal: false }}
              label={t('shelf.collectInto')}
              data={collections.map((one) => ({ value: one.id, label: one.name }))}
              value={target}
              onChange={setTarget}
            />
          )}
          {target === null && (
            <TextInput
              label={t('shelf.newCollection')}
              value={name}
              maxLength={80}
              onChange={({ currentTarget }) => {
                setName(currentTarget.value);
              }}
            />
          )}
          <FormProblem error={keep.error} />
          <Button
            variant="filled"
            loading={keep.isPending}
            disabled={target === null && name.trim() === ''}
            onClick={collect}
          >
            {t('shelf.collect')}
          </Button>
        </Stack>
      </Popover.Dropdown>
    </Popover>
  );
}

/** What can be done with the exercises that are ticked: compare, collect, export. */
export function ChosenBar({ chosen, shelf, collections, collection, onDone }: ChosenBarProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const ids = chosen.map(({ id }) => id);
  const keep = useMutation({
    mutationFn: keepCollection,
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['collections'] });
      onDone();
    },
  });
  const [first, second] = chosen;
  return (
    <div className={classes['chosen']} role="region" aria-label={t('shelf.chosen', { count: chosen.length })}>
      <b>{t('shelf.chosen', { count: chosen.length })}</b>
      <Group gap="sm">
        {first && second && chosen.length === 2 && (
          <Button variant="filled" component={Link} to={`/shelf/compare?a=${first.id}&b=${second.id}`}>
            {t('shelf.compare')}
          </Button>
        )}
        <AddToRoutine exerciseIds={ids} shelf={shelf} />
        <Collect collections={collections} ids={ids} keep={keep} />
        {collection && (
          <Button
            onClick={() => {
              keep.mutate({ ...collection, exercises: collection.exercises.filter((id) => !ids.includes(id)) });
            }}
          >
            {t('shelf.takeOut', { name: collection.name })}
          </Button>
        )}
        <Button
          onClick={() => {
            saveFile('exercises.json', exerciseFileOf(chosen.map(exerciseOf)), 'application/json');
          }}
        >
          {t('shelf.export')}
        </Button>
        <Button variant="subtle" onClick={onDone}>
          {t('shelf.chooseNone')}
        </Button>
      </Group>
    </div>
  );
}
