import { Checkbox, Fieldset, SimpleGrid, Stack, Text } from '@mantine/core';
import { DateInput } from '@mantine/dates';
import type { UseFormReturnType } from '@mantine/form';
import { CAUTIONS, LASTING_OBSTACLES, type Caution } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Applies, VoiceValues } from './voice-form.values.ts';

interface VoiceDecisionsProps {
  readonly form: UseFormReturnType<VoiceValues>;
  readonly today: string;
  /** What can apply to a singer of this age at all. */
  readonly applies: Applies;
}

const DAYS = ['clearedOn', 'beltEaseOn', 'holdsOnSince', 'consentOn'] as const;
const NOT_A_CHILDS: readonly Caution[] = ['pregnancy'];

/** Cautions on file, and what the teacher has decided or seen, each with its day. */
export function VoiceDecisions({ form, today, applies }: VoiceDecisionsProps): ReactElement {
  const { t } = useTranslation();
  const { cautions } = form.values;
  const cautionsShown = CAUTIONS.filter(
    (caution) => !applies.isChild || !NOT_A_CHILDS.includes(caution) || cautions.includes(caution),
  );
  const isShown = { clearedOn: true, beltEaseOn: applies.belt, holdsOnSince: true, consentOn: applies.consent };
  return (
    <>
      <Fieldset legend={t('students.cautionsOnFile')}>
        <Text size="sm" c="dimmed" mb="sm">
          {t('students.cautionHint')}
        </Text>
        <Checkbox.Group {...form.getInputProps('cautions')}>
          <Stack gap="xs">
            {cautionsShown.map((caution) => (
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
          {DAYS.filter((day) => isShown[day]).map((day) => (
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
        {applies.gritDecision && (
          <Checkbox
            mt="md"
            label={t('students.gritAllowed')}
            {...form.getInputProps('gritAllowed', { type: 'checkbox' })}
          />
        )}
      </Fieldset>
    </>
  );
}
