import {
  Autocomplete,
  Fieldset,
  Group,
  MultiSelect,
  NumberInput,
  Select,
  SimpleGrid,
  Stack,
  Textarea,
  TextInput,
} from '@mantine/core';
import { DateInput } from '@mantine/dates';
import '@mantine/dates/styles.layer.css';
import type { UseFormReturnType } from '@mantine/form';
import type { RuleTable } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { songsQuery } from '../../api/songs.queries.ts';
import { NoteField } from '../../ui/note-field.tsx';
import { useVoiceChoices } from './voice-choices.ts';
import type { VoiceValues, whatApplies } from './voice-form.values.ts';

interface GroupProps {
  readonly form: UseFormReturnType<VoiceValues>;
}

/** Whose voice it is, and of what kind. */
export function KindGroup({ form }: GroupProps): ReactElement {
  const { t } = useTranslation();
  const choices = useVoiceChoices();
  return (
    <Fieldset legend={t('students.sections.voice')}>
      <Stack gap="sm">
        <TextInput label={t('students.name')} required maxLength={120} {...form.getInputProps('name')} />
        <Group grow>
          <Select label={t('students.type')} data={choices.types} {...form.getInputProps('type')} />
          {form.values.type === 'changing' && (
            <Select label={t('students.stage')} data={choices.changes} {...form.getInputProps('changingStage')} />
          )}
          <Select label={t('students.style')} data={choices.styles} {...form.getInputProps('style')} />
          <NumberInput
            label={t('students.age')}
            min={4}
            max={120}
            allowDecimal={false}
            {...form.getInputProps('age')}
          />
        </Group>
        <MultiSelect
          label={t('students.otherStyles')}
          data={choices.styles.filter(({ value }) => value !== form.values.style)}
          {...form.getInputProps('otherStyles')}
        />
      </Stack>
    </Fieldset>
  );
}

/** How far it goes, and where it talks. */
export function RangeGroup({ form, today }: GroupProps & { readonly today: string }): ReactElement {
  const { t } = useTranslation();
  return (
    <Fieldset legend={t('students.sections.range')}>
      <SimpleGrid cols={2}>
        <NoteField label={t('students.lowest')} {...form.getInputProps('low')} />
        <NoteField label={t('students.highest')} {...form.getInputProps('high')} />
        <NoteField label={t('students.reachLow')} {...form.getInputProps('reachLow')} />
        <NoteField label={t('students.reachHigh')} {...form.getInputProps('reachHigh')} />
        <DateInput
          label={t('students.date')}
          valueFormat="D MMMM YYYY"
          maxDate={today}
          {...form.getInputProps('date')}
        />
        <NoteField label={t('students.speakingNote')} {...form.getInputProps('speakingNote')} />
      </SimpleGrid>
    </Fieldset>
  );
}

/** Ends that nothing passes, and the margin inside them. */
export function LimitsGroup({
  form,
  rules,
  applies,
}: GroupProps & { readonly rules: RuleTable; readonly applies: ReturnType<typeof whatApplies> }): ReactElement {
  const { t } = useTranslation();
  return (
    <Fieldset legend={t('students.sections.limits')}>
      <SimpleGrid cols={2}>
        <NoteField label={t('students.hardFloorField')} {...form.getInputProps('hardFloor')} />
        <NoteField label={t('students.hardCeilingField')} {...form.getInputProps('hardCeiling')} />
        {applies.belt && <NoteField label={t('students.beltField')} {...form.getInputProps('beltCeiling')} />}
        <NumberInput
          label={t('students.margin')}
          placeholder={t('students.marginByRules', { count: rules.margin.usual })}
          min={0}
          max={4}
          allowDecimal={false}
          {...form.getInputProps('margin')}
        />
      </SimpleGrid>
    </Fieldset>
  );
}

/** The piece in hand, what is missing and wanted, goals, and the teacher's own note. */
export function WordsGroup({ form }: GroupProps): ReactElement {
  const { t } = useTranslation();
  const songs = useQuery(songsQuery).data;
  return (
    <Fieldset legend={t('students.sections.words')}>
      <Stack gap="sm">
        <Autocomplete
          label={t('students.piece')}
          description={t('students.pieceHint')}
          maxLength={200}
          data={songs?.map(({ song }) => song.name) ?? []}
          {...form.getInputProps('piece')}
        />
        <Textarea label={t('students.wantedField')} autosize maxLength={400} {...form.getInputProps('wanted')} />
        <Textarea label={t('students.goalsField')} autosize minRows={2} {...form.getInputProps('goals')} />
        <Textarea label={t('students.note')} autosize minRows={3} maxLength={4000} {...form.getInputProps('note')} />
      </Stack>
    </Fieldset>
  );
}
