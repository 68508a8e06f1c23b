import { keyPlayed, type RunState } from '@soft-lark/core';
import { useState } from 'react';
import { useMidi, type MidiState } from '../../listening/use-midi.ts';
import { isOverlaid } from '../../ui/use-keys.ts';
import type { Running } from './use-run.ts';

export interface Hands {
  readonly state: MidiState;
  /** A note that is no key of this ladder, MIDI; null where the last one was. */
  readonly refused: number | null;
}

/**
 * A MIDI keyboard conducts: the note that is played says which key is sung, its pedal goes on.
 *
 * @param plugged counts the keyboards that were plugged in by hand: another one is listened to afresh
 */
export function useHands(isWanted: boolean, plugged: number, running: Running, run: RunState): Hands {
  const [refused, setRefused] = useState<number | null>(null);
  const state = useMidi(isWanted, plugged, {
    onNote: (midi) => {
      if (isOverlaid()) return;
      const index = keyPlayed(run, midi);
      setRefused(index === null ? midi : null);
      if (index === null || run.phase !== 'singing') return;
      if (!run.begun && index === 0) running.act('next');
      else if (!run.begun || index !== run.keyIndex) running.toKey(index);
    },
    onPedal: () => {
      running.act('next');
    },
  });
  return { state, refused };
}
