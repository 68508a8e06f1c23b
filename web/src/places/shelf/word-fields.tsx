import { ActionIcon, Button, Select, TagsInput, TextInput } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import { APPROACH_CHOICES, type Cue, type Exercise } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './sheet.module.css';

const HEIGHTS = ['always', 'low', 'bridge', 'above', 'top', 'last'] as const;
type Watch = Exercise['watchFor'][number];

interface WordFieldsProps {
  readonly exercise: Exercise;
  readonly change: (change: Partial<Exercise>) => void;
}

function replaced<T>(list: readonly T[], index: number, item: T): T[] {
  return list.map((old, at) => (at === index ? item : old));
}

function without<T>(list: readonly T[], index: number): T[] {
  return list.filter((_, at) => at !== index);
}

/** What to say and what to watch for: cues by height and approach, signs with causes and remedies in order. */
export function WordFields({ exercise, change }: WordFieldsProps): ReactElement {
  const { t } = useTranslation();
  const { cues, watchFor, manners, cautions } = exercise;
  const answers = Object.entries(APPROACH_CHOICES).flatMap(([question, choices]) =>
    choices
      .filter((choice) => choice !== 'own')
      .map((choice) => ({
        value: `${question}=${choice}`,
        label: `${t(`approach.${question as 'chin'}.question`)}: ${t(`approach.${question}.${choice}` as 'approach.chin.level')}`,
      })),
  );
  const setCue = (index: number, cue: Cue): void => {
    change({ cues: replaced(cues, index, cue) });
  };
  const setWatch = (index: number, watch: Watch): void => {
    change({ watchFor: replaced(watchFor, index, watch) });
  };
  return (
    <div className={classes['words']}>
      <h3>{t('shelf.cues')}</h3>
      {cues.map((cue, index) => (
        <div key={index} className={classes['cueRow']}>
          <TextInput
            aria-label={t('shelf.sheet.cue', { number: index + 1 })}
            maxLength={240}
            value={cue.text}
            onChange={({ currentTarget }) => {
              setCue(index, { ...cue, text: currentTarget.value });
            }}
          />
          <Select
            allowDeselect={false}
            aria-label={t('shelf.sheet.cueAt', { number: index + 1 })}
            data={HEIGHTS.map((value) => ({ value, label: t(`shelf.cueAt.${value}`) }))}
            value={cue.at}
            onChange={(value) => {
              const at = HEIGHTS.find((known) => known === value);
              if (at) setCue(index, { ...cue, at });
            }}
          />
          <Select
            clearable
            searchable
            aria-label={t('shelf.sheet.cueApproach', { number: index + 1 })}
            placeholder={t('shelf.sheet.anyApproach')}
            data={answers}
            value={cue.approach ?? null}
            onChange={(approach) => {
              const { text, at } = cue;
              setCue(index, { text, at, ...(approach && { approach }) });
            }}
          />
          <ActionIcon
            aria-label={t('shelf.sheet.removeCue', { number: index + 1 })}
            onClick={() => {
              change({ cues: without(cues, index) });
            }}
          >
            <IconX size={16} />
          </ActionIcon>
        </div>
      ))}
      <Button
        size="sm"
        onClick={() => {
          change({ cues: [...cues, { text: '', at: 'always' }] });
        }}
      >
        {t('shelf.sheet.addCue')}
      </Button>
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
          <ActionIcon
            aria-label={t('shelf.sheet.removeWatch', { number: index + 1 })}
            onClick={() => {
              change({ watchFor: without(watchFor, index) });
            }}
          >
            <IconX size={16} />
          </ActionIcon>
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
      <TagsInput
        label={t('shelf.sheet.manners')}
        description={t('shelf.sheet.mannersHint')}
        value={manners}
        onChange={(list) => {
          change({ manners: list });
        }}
      />
      <TagsInput
        label={t('shelf.cautions')}
        value={cautions}
        onChange={(list) => {
          change({ cautions: list });
        }}
      />
    </div>
  );
}
