import { Button, Select, TagsInput, TextInput } from '@mantine/core';
import { ANSWERED_MARKS, type Exercise } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { replaced, without } from './lists.ts';
import { RemoveButton } from '../../ui/remove-button.tsx';
import classes from './sheet.module.css';

type Watch = Exercise['watchFor'][number];

interface WatchFieldsProps {
  readonly watchFor: readonly Watch[];
  readonly change: (change: Partial<Exercise>) => void;
}

/** Signs to watch for, the mark each answers at the piano, their causes and remedies in order. */
export function WatchFields({ watchFor, change }: WatchFieldsProps): ReactElement {
  const { t } = useTranslation();
  const setWatch = (index: number, watch: Watch): void => {
    change({ watchFor: replaced(watchFor, index, watch) });
  };
  return (
    <>
      <h3>{t('shelf.watch')}</h3>
      {watchFor.map((watch, index) => (
        <div key={index} className={classes['watchRow']}>
          <TextInput
            aria-label={t('shelf.sheet.seen', { number: index + 1 })}
            placeholder={t('shelf.sheet.seenHint')}
            maxLength={240}
            value={watch.seen}
            onChange={({ currentTarget }) => {
              setWatch(index, { ...watch, seen: currentTarget.value });
            }}
          />
          <Select
            clearable
            aria-label={t('shelf.sheet.watchMark', { number: index + 1 })}
            placeholder={t('shelf.sheet.noMark')}
            data={ANSWERED_MARKS.map((value) => ({ value, label: t(`piano.marks.${value}`) }))}
            value={watch.mark ?? null}
            onChange={(value) => {
              const { seen, causes, remedies } = watch;
              const mark = ANSWERED_MARKS.find((known) => known === value);
              setWatch(index, { seen, causes, remedies, ...(mark && { mark }) });
            }}
          />
          <TagsInput
            aria-label={t('shelf.sheet.causes', { number: index + 1 })}
            placeholder={t('shelf.sheet.causesHint')}
            value={watch.causes}
            onChange={(causes) => {
              setWatch(index, { ...watch, causes });
            }}
          />
          <TagsInput
            aria-label={t('shelf.sheet.remedies', { number: index + 1 })}
            placeholder={t('shelf.sheet.remediesHint')}
            value={watch.remedies.map(({ text }) => text)}
            onChange={(texts) => {
              const kept = texts.map(
                (text) => watch.remedies.find((remedy) => remedy.text === text) ?? { kind: 'cue' as const, text },
              );
              setWatch(index, { ...watch, remedies: kept });
            }}
          />
          <RemoveButton
            label={t('shelf.sheet.removeWatch', { number: index + 1 })}
            onClick={() => {
              change({ watchFor: without(watchFor, index) });
            }}
          />
        </div>
      ))}
      <Button
        size="sm"
        onClick={() => {
          change({ watchFor: [...watchFor, { seen: '', causes: [], remedies: [] }] });
        }}
      >
        {t('shelf.sheet.addWatch')}
      </Button>
    </>
  );
}
