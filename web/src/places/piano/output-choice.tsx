import { Button, Select, Stack } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { USUAL_OUTPUT } from '../../sound/output.ts';
import type { OutputDevice } from '../../sound/sound-choices.ts';
import { useOutputs } from './use-outputs.ts';

interface OutputChoiceProps {
  readonly output: OutputDevice;
  readonly onChange: (output: OutputDevice) => void;
}

/** Which device plays: the loudspeaker in the room, or what a lesson over the network hears. */
export function OutputChoice({ output, onChange }: OutputChoiceProps): ReactElement {
  const { t } = useTranslation();
  const { found, areNamed, askNames } = useOutputs(output);
  const isGone = output.id !== USUAL_OUTPUT && areNamed && !found.some(({ id }) => id === output.id);
  const isListed = found.some(({ id }) => id === output.id);
  const listed = output.id === USUAL_OUTPUT || isListed ? found : [...found, output];
  return (
    <Stack gap={4} flex={1}>
      <Select
        aria-label={t('sound.output')}
        allowDeselect={false}
        comboboxProps={{ withinPortal: false }}
        data={[
          { value: USUAL_OUTPUT, label: t('sound.usualOutput') },
          ...listed.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        value={output.id}
        error={isGone && t('sound.outputGone')}
        onChange={(id) => {
          onChange(listed.find((one) => one.id === id) ?? { id: USUAL_OUTPUT, name: '' });
        }}
      />
      {!areNamed && (
        <Button variant="subtle" size="compact-sm" w="fit-content" onClick={askNames}>
          {t('sound.nameOutputs')}
        </Button>
      )}
    </Stack>
  );
}
