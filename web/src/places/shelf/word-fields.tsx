import { Button, type ComboboxItem, MultiSelect, Select, TagsInput, TextInput } from '@mantine/core';
import { APPROACH_CHOICES, CUE_PLACES, PULLS, type Cue, type Exercise } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { LearntFields } from './learnt-fields.tsx';
import { replaced, without } from './lists.ts';
import { WatchFields } from './watch-fields.tsx';
import { RemoveButton } from '../../ui/remove-button.tsx';
import classes from './sheet.module.css';

interface WordFieldsProps {
  readonly exercise: Exercise;
  readonly change: (change: Partial<Exercise>) => void;
}

interface CueFieldsProps extends Pick<WordFieldsProps, 'change'> {
  readonly cues: readonly Cue[];
  /** Answers of an approach a cue may belong to. */
  readonly answers: readonly ComboboxItem[];
}

/** Each cue with where it is said and for which approach. */
function CueFields({ cues, answers, change }: CueFieldsProps): ReactElement {
  const { t } = useTranslation();
  const setCue = (index: number, cue: Cue): void => {
    change({ cues: replaced(cues, index, cue) });
  };
  return (
    <>
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
            data={CUE_PLACES.map((value) => ({ value, label: t(`shelf.cueAt.${value}`) }))}
            value={cue.at}
            onChange={(value) => {
              const at = CUE_PLACES.find((known) => known === value);
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
          <RemoveButton
            label={t('shelf.sheet.removeCue', { number: index + 1 })}
            onClick={() => {
              change({ cues: without(cues, index) });
            }}
          />
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
    </>
  );
}

/** The words of an exercise: cues by height and approach, what to watch for, how it is learnt, what to heed. */
export function WordFields({ exercise, change }: WordFieldsProps): ReactElement {
  const { t } = useTranslation();
  const { cues, watchFor, manners, cautions } = exercise;
  const pulls = PULLS.map((value) => {
    const [question = '', choice = ''] = value.split('=');
    const label = `${t(`approach.${question as 'chin'}.question`)}: ${t(`approach.${question}.${choice}` as 'approach.chin.level')}`;
    return { value, label, question };
  });
  const answers = pulls.filter(({ question }) => Object.hasOwn(APPROACH_CHOICES, question));
  return (
    <div className={classes['words']}>
      <CueFields cues={cues} answers={answers} change={change} />
      <WatchFields watchFor={watchFor} change={change} />
      <TagsInput
        label={t('shelf.sheet.manners')}
        description={t('shelf.sheet.mannersHint')}
        value={manners}
        onChange={(list) => {
          change({ manners: list });
        }}
      />
      <MultiSelect
        searchable
        label={t('shelf.sheet.pulls')}
        description={t('shelf.sheet.pullsHint')}
        data={pulls.map(({ value, label }) => ({ value, label }))}
        value={exercise.pulls}
        onChange={(list) => {
          change({ pulls: list });
        }}
      />
      <LearntFields exercise={exercise} change={change} />
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
