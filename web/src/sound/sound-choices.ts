import { useLocalStorage } from '@mantine/hooks';
import { USUAL_SOUND, type SoundChoices } from '@soft-lark/core';
import { useEffect, useMemo } from 'react';
import { sendSoundTo, USUAL_OUTPUT } from './output.ts';
import { tunePiano } from './piano.ts';

/** A device that plays: the id that the browser gives it for this page, and its name. */
export interface OutputDevice {
  readonly id: string;
  readonly name: string;
}

/** How this device sounds: speakers and rooms differ, and so does what the hands of the teacher play themselves. */
export interface DeviceSound extends SoundChoices {
  /** A4 in Hz, 380–480. */
  readonly tuning: number;
  /** The teacher plays: nothing sounds, everything else goes on. */
  readonly isSilent: boolean;
  /** “Two more”, “last one” are spoken while the cue sounds. */
  readonly speaks: boolean;
  /** Which device plays. */
  readonly output: OutputDevice;
}

const USUAL_DEVICE_SOUND: DeviceSound = {
  ...USUAL_SOUND,
  tuning: 440,
  isSilent: false,
  speaks: false,
  output: { id: USUAL_OUTPUT, name: '' },
};

export type ChangeSound = (change: Partial<DeviceSound>) => void;

/** What this device was set to, and what sets it; what was never set is as usual. */
export function useSoundChoices(): readonly [DeviceSound, ChangeSound] {
  const [kept, keep] = useLocalStorage<Partial<DeviceSound>>({
    key: 'soft-lark.sound',
    defaultValue: {},
    getInitialValueInEffect: false,
  });
  const sound = useMemo(() => ({ ...USUAL_DEVICE_SOUND, ...kept }), [kept]);
  useEffect(() => {
    tunePiano(sound.tuning);
  }, [sound.tuning]);
  useEffect(() => {
    void sendSoundTo(sound.output.id);
  }, [sound.output.id]);
  return [
    sound,
    (change) => {
      keep({ ...kept, ...change });
    },
  ];
}
