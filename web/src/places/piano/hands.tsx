import { ActionIcon, Button, Popover, Stack } from '@mantine/core';
import { IconPiano } from '@tabler/icons-react';
import { currentStep, type RunState } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useKeyboards } from '../../listening/use-keyboards.ts';
import { writeNote } from '../../text/note-names.ts';
import { NoteKeys } from '../../ui/note-keys.tsx';
import { useHands } from './use-hands.ts';
import type { Running } from './use-run.ts';
import classes from './run.module.css';

interface HandsButtonProps {
  readonly running: Running;
  readonly state: RunState;
}

/** Hands on a keyboard: what it is doing, and a simulated one with its pedal for whoever has none. */
export function HandsButton({ running, state }: HandsButtonProps): ReactElement {
  const { t } = useTranslation();
  const [isWanted, setWanted] = useState(false);
  const [{ plugged, simulated }, plugIn] = useKeyboards();
  const hands = useHands(isWanted, plugged, running, state);
  const keys = currentStep(state)?.keys ?? [];
  const tonics = keys.map(({ tonic }) => tonic);
  return (
    <Popover position="bottom-end" width={420} shadow="none" withArrow>
      <Popover.Target>
        <ActionIcon
          className={classes['hands'] ?? ''}
          aria-label={t('piano.hands.title')}
          data-on={hands.state === 'on'}
        >
          <IconPiano size={22} />
        </ActionIcon>
      </Popover.Target>
      <Popover.Dropdown>
        <Stack gap="sm" align="flex-start">
          <p role="status" className={classes['handsSay']}>
            {t(`piano.hands.${hands.state}`)}{' '}
            {hands.refused !== null && t('piano.hands.refused', { note: writeNote(hands.refused) })}
          </p>
          <Button
            onClick={() => {
              setWanted(!isWanted);
            }}
          >
            {t(isWanted ? 'piano.hands.stop' : 'piano.hands.listen')}
          </Button>
          {isWanted && !simulated && hands.state !== 'on' && (
            <Button onClick={plugIn}>{t('piano.hands.simulated')}</Button>
          )}
          {simulated && hands.state === 'on' && (
            <>
              {tonics.length > 0 && (
                <NoteKeys
                  label={t('piano.hands.keys')}
                  target={tonics[state.keyIndex] ?? 60}
                  span={{ low: Math.min(...tonics), high: Math.max(...tonics) }}
                  onNote={simulated.press}
                />
              )}
              <Button onClick={simulated.pedal}>{t('piano.hands.pedal')}</Button>
            </>
          )}
        </Stack>
      </Popover.Dropdown>
    </Popover>
  );
}
