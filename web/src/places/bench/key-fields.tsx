import { Checkbox, Select } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { CountField } from './count-field.tsx';
import { FieldGroup, type StepFieldsProps } from './field-group.tsx';

/** Semitones that a second time may go further. */
const FURTHER = ['0', '1', '2', '3', '4', '5', '7', '12'] as const;

/** How many keys, how often, and whether the ladder comes a second time. */
export function KeyFields({ exercise: { work }, settings, set }: StepFieldsProps): ReactElement | null {
  const { t } = useTranslation();
  const { again } = settings;
  if (work.kind !== 'pattern') return null;
  return (
    <FieldGroup title={t('bench.groups.keys')}>
      <CountField
        label={t('bench.timesPerKey')}
        value={settings.timesPerKey}
        usual={String(work.timesPerKey)}
        min={1}
        max={8}
        onSet={(value) => {
          set('timesPerKey', value);
        }}
      />
      <CountField
        label={t('bench.returnStep')}
        value={settings.returnStep}
        usual={String(work.returnStep ?? settings.step ?? work.step)}
        min={1}
        max={12}
        onSet={(value) => {
          set('returnStep', value);
        }}
      />
      <CountField
        label={t('bench.narrowTo')}
        value={settings.narrowTo}
        usual={t('bench.wholeTune')}
        min={2}
        max={36}
        onSet={(value) => {
          set('narrowTo', value);
        }}
      />
      <CountField
        label={t('bench.withinSeconds')}
        value={settings.withinSeconds}
        usual={t('bench.allTheTime')}
        min={5}
        max={900}
        onSet={(value) => {
          set('withinSeconds', value);
        }}
      />
      <Select
        size="sm"
        w={190}
        clearable
        label={t('bench.again')}
        placeholder={t('bench.againNo')}
        data={FURTHER.map((value) => ({ value, label: t('bench.further', { count: Number(value) }) }))}
        value={again ? String(again.further) : null}
        onChange={(value) => {
          set('again', value === null ? undefined : { ...again, further: Number(value) });
        }}
      />
      {again && (
        <Checkbox
          label={t('bench.ifEasy')}
          checked={again.ifEasy ?? false}
          onChange={({ currentTarget }) => {
            set('again', { further: again.further, ...(currentTarget.checked && { ifEasy: true }) });
          }}
        />
      )}
    </FieldGroup>
  );
}
