import { Select, TagsInput } from '@mantine/core';
import { HELP_CHOICES, PACES } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { FieldGroup, type StepFieldsProps } from './field-group.tsx';

/** What it is sung on, in which manners, who sounds, and whether its keys wait. */
export function VoiceFields({ written, settings, set }: StepFieldsProps): ReactElement | null {
  const { t } = useTranslation();
  if (written.work.kind !== 'pattern') return null;
  const sets = [written.work.syllables, ...written.work.syllableSets];
  const own = settings.syllables;
  const offered = [...new Set(own === undefined ? sets : [...sets, own])];
  return (
    <FieldGroup title={t('bench.groups.sound')}>
      {offered.length > 1 && (
        <Select
          size="sm"
          w={190}
          clearable
          label={t('bench.syllables')}
          placeholder={sets[0]}
          data={offered.slice(1)}
          value={own ?? null}
          onChange={(value) => {
            set('syllables', value ?? undefined);
          }}
        />
      )}
      <TagsInput
        size="sm"
        miw={190}
        label={t('bench.manners')}
        placeholder={t('bench.mannersHint')}
        data={written.manners}
        maxTags={8}
        maxLength={120}
        value={[...(settings.manners ?? written.manners)]}
        onChange={(manners) => {
          const isUsual = manners.join('\n') === written.manners.join('\n');
          set('manners', isUsual ? undefined : manners);
        }}
      />
      <Select
        size="sm"
        w={270}
        clearable
        label={t('bench.help')}
        placeholder={t(written.work.help ? `bench.helps.${written.work.help}` : 'bench.helpPlan')}
        data={HELP_CHOICES.map((value) => ({ value, label: t(`bench.helps.${value}`) }))}
        value={settings.help ?? null}
        onChange={(value) => {
          set(
            'help',
            HELP_CHOICES.find((one) => one === value),
          );
        }}
      />
      <Select
        size="sm"
        w={230}
        clearable
        label={t('approach.at-the-piano.question')}
        placeholder={t('bench.byApproach')}
        data={PACES.map((value) => ({ value, label: t(`approach.at-the-piano.${value}`) }))}
        value={settings.pace ?? null}
        onChange={(value) => {
          set(
            'pace',
            PACES.find((one) => one === value),
          );
        }}
      />
    </FieldGroup>
  );
}
