import { ZONE_KINDS } from '@soft-lark/core';
import { Button, Fieldset, Group, NumberInput, Select, Stack } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { NoteField } from '../../ui/note-field.tsx';
import { RemoveButton } from '../../ui/remove-button.tsx';
import { WithTerms } from '../../ui/with-terms.tsx';
import type { VoiceValues } from './voice-form.values.ts';

interface PairRowsProps {
  readonly form: UseFormReturnType<VoiceValues>;
  readonly list: 'bridges' | 'gaps' | 'avoid';
  readonly legend: string;
  readonly addLabel: string;
}

/** Rows of a lower and an upper note: bridges, or zones with their kind. */
export function PairRows({ form, list, legend, addLabel }: PairRowsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Fieldset legend={<WithTerms>{legend}</WithTerms>}>
      <Stack gap="sm">
        {form.values[list].map((_, index) => (
          <Group key={index} align="flex-end" wrap="nowrap">
            <NoteField label={t('students.from')} {...form.getInputProps(`${list}.${String(index)}.low`)} />
            <NoteField label={t('students.to')} {...form.getInputProps(`${list}.${String(index)}.high`)} />
            {list === 'avoid' && (
              <Select
                label={t('students.kind')}
                data={ZONE_KINDS.map((kind) => ({ value: kind, label: t(`students.zoneKinds.${kind}`) }))}
                {...form.getInputProps(`${list}.${String(index)}.kind`)}
              />
            )}
            {list === 'avoid' && form.values.avoid[index]?.kind === 'not-held' && (
              <NumberInput
                w={96}
                label={t('students.zoneSeconds')}
                min={0.5}
                max={60}
                step={0.5}
                {...form.getInputProps(`avoid.${String(index)}.seconds`)}
              />
            )}
            <RemoveButton
              label={t('students.remove')}
              onClick={() => {
                form.removeListItem(list, index);
              }}
            />
          </Group>
        ))}
        <Button
          size="sm"
          onClick={() => {
            form.insertListItem(list, { low: undefined, high: undefined, kind: 'never-sounded', seconds: '' });
          }}
        >
          {addLabel}
        </Button>
      </Stack>
    </Fieldset>
  );
}
