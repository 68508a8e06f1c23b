import { UnstyledButton } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';

const OCTAVES = [0, 12, -12] as const;

/** Semitones the sound is away from where it is written, as this device was set: not every phone plays low notes. */
export function useHomeOctave(): readonly [number, (octave: number) => void] {
  const [octave, setOctave] = useLocalStorage<number>({
    key: 'soft-lark.home-octave',
    defaultValue: 0,
    getInitialValueInEffect: false,
  });
  return [octave, setOctave];
}

interface OctaveChoiceProps {
  readonly className?: string | undefined;
  readonly octave: number;
  readonly onOctave: (octave: number) => void;
}

/** Where the sound lies; a press for the next choice. */
export function OctaveChoice({ className, octave, onOctave }: OctaveChoiceProps): ReactElement {
  const { t } = useTranslation();
  const at = OCTAVES.findIndex((one) => one === octave);
  return (
    <UnstyledButton
      className={className ?? ''}
      onClick={() => {
        onOctave(OCTAVES[(at + 1) % OCTAVES.length] ?? 0);
      }}
    >
      {t(`home.octaves.${String(octave) as '0'}`)}
    </UnstyledButton>
  );
}
