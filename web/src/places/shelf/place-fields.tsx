import {
  type ComboboxItem,
  MultiSelect,
  NumberInput,
  Select,
  Switch,
  TagsInput,
  Textarea,
  TextInput,
} from '@mantine/core';
import { LEVELS, NOISES, REGISTERS, STAGES, STYLES, VOICE_TYPES, type Exercise } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './sheet.module.css';

interface PlaceFieldsProps {
  readonly exercise: Exercise;
  readonly change: (change: Partial<Exercise>) => void;
  /** Goals that are met on the shelf already. */
  readonly goals: readonly string[];
  /** Names of the other exercises, by id, for what must come before. */
  readonly names: readonly { readonly value: string; readonly label: string }[];
}

type FieldProps = Pick<PlaceFieldsProps, 'exercise' | 'change'>;

interface ChoiceFieldProps<T extends string> extends FieldProps {
  readonly name: 'stage' | 'level' | 'register' | 'noise';
  readonly values: readonly T[];
  readonly label: (value: T) => string;
}

function ChoiceField<T extends string>({ name, values, label, exercise, change }: ChoiceFieldProps<T>): ReactElement {
  const { t } = useTranslation();
  return (
    <Select
      allowDeselect={false}
      label={t(`shelf.sheet.place.${name}`)}
      data={values.map((value): ComboboxItem => ({ value, label: label(value) }))}
      value={exercise[name]}
      onChange={(value) => {
        if (value !== null) change({ [name]: value });
      }}
    />
  );
}

/** For whom it is and what for; nobody named means everybody. */
function ForWhomFields({ exercise, change, goals, names }: PlaceFieldsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      <MultiSelect
        label={t('shelf.sheet.place.styles')}
        placeholder={exercise.styles.length === 0 ? t('shelf.sheet.all') : ''}
        data={STYLES.map((value) => ({ value, label: t(`styles.${value}`) }))}
        value={exercise.styles}
        onChange={(styles) => {
          change({ styles: styles });
        }}
      />
      <MultiSelect
        label={t('shelf.sheet.place.voices')}
        placeholder={exercise.voices.length === 0 ? t('shelf.sheet.all') : ''}
        data={VOICE_TYPES.map((value) => ({ value, label: t(`voices.${value}`) }))}
        value={exercise.voices}
        onChange={(voices) => {
          change({ voices: voices });
        }}
      />
      <TagsInput
        label={t('shelf.sheet.place.goals')}
        data={[...goals]}
        value={exercise.goals}
        onChange={(chosen) => {
          change({ goals: chosen });
        }}
      />
      <TagsInput
        label={t('shelf.sheet.place.kit')}
        data={['mirror', 'book', 'wall', 'cup', 'straw']}
        value={exercise.kit}
        onChange={(kit) => {
          change({ kit });
        }}
      />
      <TagsInput
        label={t('shelf.sheet.place.manners')}
        maxTags={8}
        value={exercise.manners}
        onChange={(manners) => {
          change({ manners });
        }}
      />
      <MultiSelect
        searchable
        label={t('shelf.sheet.place.needs')}
        data={[...names]}
        limit={40}
        value={exercise.needs}
        onChange={(needs) => {
          change({ needs });
        }}
      />
    </>
  );
}

/** Where an exercise belongs: stage, load, level, register, noise, kit, for whom and what for. */
export function PlaceFields(props: PlaceFieldsProps): ReactElement {
  const { t } = useTranslation();
  const { exercise, change } = props;
  return (
    <div className={classes['fields']}>
      <TextInput
        label={t('shelf.sheet.place.shortName')}
        maxLength={14}
        value={exercise.shortName}
        onChange={({ currentTarget }) => {
          change({ shortName: currentTarget.value });
        }}
      />
      <ChoiceField {...props} name="stage" values={STAGES} label={(value) => t(`stages.${value}`)} />
      <ChoiceField {...props} name="level" values={LEVELS} label={(value) => t(`shelf.levels.${value}`)} />
      <ChoiceField {...props} name="register" values={REGISTERS} label={(value) => t(`shelf.registers.${value}`)} />
      <ChoiceField {...props} name="noise" values={NOISES} label={(value) => t(`shelf.noises.${value}`)} />
      <NumberInput
        label={t('shelf.sheet.place.load')}
        min={0}
        max={5}
        value={exercise.load}
        onChange={(load) => {
          if (typeof load === 'number') change({ load });
        }}
      />
      <ForWhomFields {...props} />
      <Switch
        label={t('shelf.sheet.place.extendsRange')}
        checked={exercise.extendsRange}
        onChange={({ currentTarget }) => {
          change({ extendsRange: currentTarget.checked });
        }}
      />
      <Switch
        label={t('shelf.sheet.place.quiet')}
        checked={exercise.quiet}
        onChange={({ currentTarget }) => {
          change({ quiet: currentTarget.checked });
        }}
      />
      <Textarea
        className={classes['wide'] ?? ''}
        autosize
        maxLength={240}
        label={t('shelf.sheet.place.why')}
        value={exercise.why}
        onChange={({ currentTarget }) => {
          change({ why: currentTarget.value });
        }}
      />
    </div>
  );
}
