import { Button, Fieldset, Group, Stack, Text } from '@mantine/core';
import type { PitchRange } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { RemoveButton } from '../../ui/remove-button.tsx';
import { NoteField } from '../../ui/note-field.tsx';

interface NotePairsProps {
  readonly legend: string;
  readonly none: string;
  readonly pairs: readonly PitchRange[];
  readonly onChange: (pairs: readonly PitchRange[]) => void;
}

const MIDDLE_C = 60;

/** A few stretches of notes, each from a lower to an upper one. */
export function NotePairs({ legend, none, pairs, onChange }: NotePairsProps): ReactElement {
  const { t } = useTranslation();
  const change = (index: number, end: keyof PitchRange, note: number): void => {
    onChange(pairs.map((pair, at) => (at === index ? { ...pair, [end]: note } : pair)));
  };
  return (
    <Fieldset legend={legend}>
      <Stack gap="sm">
        {pairs.length === 0 && <Text c="dimmed">{none}</Text>}
        {pairs.map((pair, index) => (
          <Group key={index} align="flex-end" wrap="nowrap">
            {(['low', 'high'] as const).map((end) => (
              <NoteField
                key={end}
                label={t(end === 'low' ? 'students.from' : 'students.to')}
                value={pair[end]}
                onChange={(note) => {
                  if (typeof note === 'number') change(index, end, note);
                }}
              />
            ))}
            <RemoveButton
              label={t('students.remove')}
              onClick={() => {
                onChange(pairs.filter((_, at) => at !== index));
              }}
            />
          </Group>
        ))}
        <Button
          size="sm"
          onClick={() => {
            const last = pairs.at(-1)?.high ?? MIDDLE_C;
            onChange([...pairs, { low: last, high: last }]);
          }}
        >
          {t('check.addPair')}
        </Button>
      </Stack>
    </Fieldset>
  );
}
