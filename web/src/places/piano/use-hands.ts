import { keyPlayed, type RunState } from '@soft-lark/core';
import { useEffect, useEffectEvent, useState } from 'react';
import { MidiError, startMidiKeys, type MidiProblem } from '../../listening/midi-keys.ts';
import type { Running } from './use-run.ts';

/** What a keyboard is doing here, in a word the catalogue knows. */
type HandsState = 'off' | 'on' | MidiProblem | 'GONE';

export interface Hands {
  readonly state: HandsState;
  /** A note that is no key of this ladder, MIDI; null where the last one was. */
  readonly refused: number | null;
}

/**
 * A MIDI keyboard conducts: the note that is played says which key is sung, its pedal goes on.
 *
 * @param plugged counts the keyboards that were plugged in by hand: another one is listened to afresh
 */
export function useHands(isWanted: boolean, plugged: number, running: Running, run: RunState): Hands {
  const wanted = isWanted ? String(plugged) : '';
  const [found, setFound] = useState<{ readonly wanted: string; readonly state: HandsState }>({
    wanted: '',
    state: 'off',
  });
  const [refused, setRefused] = useState<number | null>(null);
  const note = useEffectEvent((midi: number) => {
    const index = keyPlayed(run, midi);
    setRefused(index === null ? midi : null);
    if (index === null || run.phase !== 'singing') return;
    if (!run.begun && index === 0) running.act('next');
    else if (!run.begun || index !== run.keyIndex) running.toKey(index);
  });
  const pedal = useEffectEvent(() => {
    running.act('next');
  });
  useEffect(() => {
    if (wanted === '') return undefined;
    let stop: (() => void) | null = null;
    let isOver = false;
    const become = (state: HandsState): void => {
      if (!isOver) setFound({ wanted, state });
    };
    startMidiKeys(
      (midi) => {
        note(midi);
      },
      () => {
        become('GONE');
      },
      () => {
        pedal();
      },
    ).then(
      (keys) => {
        if (isOver) keys.stop();
        else stop = keys.stop;
        become('on');
      },
      (error: unknown) => {
        become(error instanceof MidiError ? error.code : 'NOT_HERE');
      },
    );
    return () => {
      isOver = true;
      stop?.();
    };
  }, [wanted]);
  return { state: found.wanted === wanted && isWanted ? found.state : 'off', refused };
}
