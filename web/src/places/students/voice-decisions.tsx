import { Checkbox, Fieldset, SimpleGrid, Stack, Text } from '@mantine/core';
import { DateInput } from '@mantine/dates';
import type { UseFormReturnType } from '@mantine/form';
import { CAUTIONS, LASTING_OBSTACLES } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { VoiceValues } from './voice-form.values.ts';

interface VoiceDecisionsProps {
  readonly form: UseFormReturnType<VoiceValues>;
  readonly today: string;
}

const DAYS = ['clearedOn', 'beltEaseOn', 'holdsOnSince', 'consentOn'] as const;

/** Cautions on file, and what the teacher has decided or seen, each with its day. */
export function VoiceDecisions({ form, today }: VoiceDecisionsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      <Fieldset legend={t('students.cautionsOnFile')}>
        <Text size="sm" c="dimmed" mb="sm">
          {t('students.cautionHint')}
        </Text>
        <Checkbox.Group {...form.getInputProps('cautions')}>
          <Stack gap="xs">
            {CAUTIONS.map((caution) => (
              <Checkbox key={caution} value={caution} label={t(`students.cautionWords.${caution}`)} />
            ))}
          </Stack>
        </Checkbox.Group>
      </Fieldset>
      <Fieldset legend={t('students.inTheWay')}>
        <Text size="sm" c="dimmed" mb="sm">
          {t('students.inTheWayHint')}
        </Text>
        <Checkbox.Group {...form.getInputProps('obstacles')}>
          <Stack gap="xs">
            {LASTING_OBSTACLES.map((obstacle) => (
              <Checkbox key={obstacle} value={obstacle} label={t(`shelf.obstacles.${obstacle}`)} />
            ))}
          </Stack>
        </Checkbox.Group>
      </Fieldset>
      <Fieldset legend={t('students.datesSection')}>
        <SimpleGrid cols={2}>
          {DAYS.map((day) => (
            <DateInput
              key={day}
              label={t(`students.${day}`)}
              valueFormat="D MMMM YYYY"
              maxDate={today}
              clearable
              {...form.getInputProps(day)}
            />
          ))}
        </SimpleGrid>
        <Checkbox
          mt="md"
          label={t('students.gritAllowed')}
          {...form.getInputProps('gritAllowed', { type: 'checkbox' })}
        />
      </Fieldset>
    </>
  );
}
