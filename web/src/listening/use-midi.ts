import { useEffect, useEffectEvent, useState } from 'react';
import { MidiError, startMidiKeys, type MidiProblem } from './midi-keys.ts';

/** What a keyboard is doing here, in a word the catalogue knows. */
export type MidiState = 'off' | 'on' | MidiProblem | 'GONE';

interface MidiActs {
  readonly onNote: (midi: number) => void;
  readonly onPedal?: () => void;
}

/**
 * Listens to a MIDI keyboard while it is wanted.
 *
 * @param plugged counts the keyboards that were plugged in by hand: another one is listened to afresh
 */
export function useMidi(isWanted: boolean, plugged: number, { onNote, onPedal }: MidiActs): MidiState {
  const wanted = isWanted ? String(plugged) : '';
  const [found, setFound] = useState<{ readonly wanted: string; readonly state: MidiState }>({
    wanted: '',
    state: 'off',
  });
  const note = useEffectEvent(onNote);
  const pedal = useEffectEvent(() => {
    onPedal?.();
  });
  useEffect(() => {
    if (wanted === '') return undefined;
    let stop: (() => void) | null = null;
    let isOver = false;
    const become = (state: MidiState): void => {
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
  return found.wanted === wanted && isWanted ? found.state : 'off';
}
