import { Tabs } from '@mantine/core';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Shelf } from '../../api/shelf.queries.ts';
import { PlaceFields } from './place-fields.tsx';
import { SoundFields } from './sound-fields.tsx';
import type { Draft } from './use-draft.ts';
import { WordFields } from './word-fields.tsx';
import { WorkFields } from './work-fields.tsx';
import classes from './sheet.module.css';

interface SheetFormProps {
  readonly draft: Draft;
  readonly shelf: Shelf;
}

/** Everything of an exercise that can be changed besides its tune: how it sounds, where it belongs, what is said. */
export function SheetForm({ draft, shelf }: SheetFormProps): ReactElement {
  const { t } = useTranslation();
  const { exercise, change, changeWork, putWork, problemAt } = draft;
  const { work } = exercise;
  const goals = useMemo(() => [...new Set([...shelf.values()].flatMap((one) => one.goals))].sort(), [shelf]);
  const names = useMemo(
    () =>
      [...shelf.values()].filter(({ id }) => id !== exercise.id).map(({ id, name }) => ({ value: id, label: name })),
    [shelf, exercise.id],
  );
  return (
    <Tabs defaultValue="sound" className={classes['form'] ?? ''}>
      <Tabs.List>
        <Tabs.Tab value="sound">{t(`shelf.sheet.tabs.${work.kind === 'pattern' ? 'sound' : 'work'}`)}</Tabs.Tab>
        <Tabs.Tab value="place">{t('shelf.sheet.tabs.place')}</Tabs.Tab>
        <Tabs.Tab value="words">{t('shelf.sheet.tabs.words')}</Tabs.Tab>
      </Tabs.List>
      <Tabs.Panel value="sound" pt="md">
        {work.kind === 'pattern' ? (
          <SoundFields work={work} change={changeWork} />
        ) : (
          <WorkFields work={work} change={putWork} problemAt={problemAt} />
        )}
      </Tabs.Panel>
      <Tabs.Panel value="place" pt="md">
        <PlaceFields exercise={exercise} change={change} goals={goals} names={names} />
      </Tabs.Panel>
      <Tabs.Panel value="words" pt="md">
        <WordFields exercise={exercise} change={change} />
      </Tabs.Panel>
    </Tabs>
  );
}
