import { Group, NumberInput, Select, TextInput } from '@mantine/core';
import { CLOCK_HOURS } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Studio } from '../../api/studio.queries.ts';
import { NamingFields } from './naming-fields.tsx';

interface StudioFieldsProps {
  readonly studio: Studio;
  readonly onChange: (studio: Studio) => void;
}

/** Name and zone of the studio, and how it writes times and notes. */
export function StudioFields({ studio, onChange }: StudioFieldsProps): ReactElement {
  const { t } = useTranslation();
  const [zones] = useState(() => Intl.supportedValuesOf('timeZone'));
  return (
    <>
      <Group align="flex-end">
        <TextInput
          w={320}
          label={t('settings.name')}
          maxLength={120}
          value={studio.name}
          onChange={({ currentTarget }) => {
            onChange({ ...studio, name: currentTarget.value });
          }}
        />
        <Select
          w={280}
          searchable
          label={t('settings.timeZone')}
          data={zones.includes(studio.timeZone) ? zones : [studio.timeZone, ...zones]}
          value={studio.timeZone}
          onChange={(timeZone) => {
            if (timeZone) onChange({ ...studio, timeZone });
          }}
        />
      </Group>
      <Group align="flex-end">
        <Select
          w={320}
          allowDeselect={false}
          label={t('settings.clock')}
          data={CLOCK_HOURS.map((value) => ({ value, label: t(`settings.clocks.${value}`) }))}
          value={studio.clock}
          onChange={(value) => {
            const clock = CLOCK_HOURS.find((known) => known === value);
            if (clock) onChange({ ...studio, clock });
          }}
        />
        <NumberInput
          w={280}
          label={t('settings.usualMinutes')}
          min={3}
          max={60}
          allowDecimal={false}
          value={studio.usualMinutes}
          onChange={(usualMinutes) => {
            if (typeof usualMinutes === 'number') onChange({ ...studio, usualMinutes });
          }}
        />
        <NumberInput
          w={280}
          label={t('settings.backupsKept')}
          min={0}
          max={60}
          allowDecimal={false}
          value={studio.backupsKept}
          onChange={(backupsKept) => {
            if (typeof backupsKept === 'number') onChange({ ...studio, backupsKept });
          }}
        />
      </Group>
      <NamingFields
        naming={studio.noteNaming}
        onChange={(noteNaming) => {
          onChange({ ...studio, noteNaming });
        }}
      />
    </>
  );
}
