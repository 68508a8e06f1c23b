import { useState } from 'react';
import { plugInSimulatedMidi, type SimulatedMidi } from './simulated-midi.ts';

export interface Keyboards {
  /** How many were plugged in so far: another one is listened to afresh. */
  readonly plugged: number;
  readonly simulated: SimulatedMidi | null;
}

/** The simulated MIDI keyboard, once somebody wants one. */
export function useKeyboards(): readonly [Keyboards, () => void] {
  const [keyboards, setKeyboards] = useState<Keyboards>({ plugged: 0, simulated: null });
  return [
    keyboards,
    () => {
      setKeyboards({ plugged: keyboards.plugged + 1, simulated: plugInSimulatedMidi() });
    },
  ];
}
