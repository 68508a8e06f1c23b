import { keySound, patternOfWork, type Exercise, type LaidStep } from '@soft-lark/core';
import { useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { loadPiano, playPiano, stopPiano, wakePiano } from '../../sound/piano.ts';
import { useSoundChoices } from '../../sound/sound-choices.ts';
import type { Sounding } from '../../sound/use-event-now.ts';
import { firstTonic } from './use-placed.ts';

/** Something to hear, and what sounds just now. */
export interface Hear {
  /**
   * Plays an exercise once in its first key: the student's where it is laid, C elsewhere. Asked again while it sounds,
   * it stops.
   */
  readonly hear: (exercise: Exercise, placed: LaidStep | null) => void;
  /** What sounds, by the id of its exercise; a tune that is asked for again counts from its own start. */
  readonly sounding: (Sounding & { readonly exerciseId: string }) | null;
}

export function useHear(): Hear {
  // What is heard here is tuned and given as at the piano.
  const [choices] = useSoundChoices();
  const [sounding, setSounding] = useState<Hear['sounding']>(null);
  const ending = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(
    () => () => {
      clearTimeout(ending.current);
      stopPiano();
    },
    [],
  );
  const hear: Hear['hear'] = (exercise, placed) => {
    const { work, id } = exercise;
    stopPiano();
    clearTimeout(ending.current);
    setSounding(null);
    if (sounding?.exerciseId === id || work.kind !== 'pattern') return;
    const laid = placed?.laid?.kind === 'pattern' ? placed.laid : null;
    const pattern = laid?.pattern ?? patternOfWork(work);
    const tonic = firstTonic(placed);
    const tempo = laid?.input.tempo ?? work.tempo.usual;
    const events = keySound({
      pattern,
      tonic,
      tempo,
      cueBeats: work.cueBeats,
      avoid: laid?.input.avoid ?? [],
      choices,
    });
    const cue = (work.cueBeats * 60) / tempo;
    setSounding({ exerciseId: id, id: v7(), tempo, startsIn: cue });
    ending.current = setTimeout(
      () => {
        setSounding(null);
      },
      ((pattern.beats + work.cueBeats) * 60_000) / tempo,
    );
    void loadPiano(events.map(({ midi }) => midi)).then(async () => {
      await wakePiano();
      playPiano(events);
    });
  };
  return { hear, sounding };
}
