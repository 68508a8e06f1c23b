import { keySound, patternOfWork, type Exercise, type LaidStep } from '@soft-lark/core';
import { useEffect, useRef } from 'react';
import { loadPiano, playPiano, stopPiano, wakePiano } from '../../sound/piano.ts';
import { firstTonic } from './use-placed.ts';

/**
 * Plays an exercise once in its first key: the student's where it is laid, C elsewhere. Asked again while it sounds, it
 * stops.
 *
 * @returns what to call with the exercise to hear
 */
export function useHear(): (exercise: Exercise, placed: LaidStep | null) => void {
  const sounding = useRef<{ readonly id: string; readonly until: number } | null>(null);
  useEffect(() => stopPiano, []);
  return (exercise, placed) => {
    const { work, id } = exercise;
    stopPiano();
    if (sounding.current?.id === id && sounding.current.until > performance.now()) {
      sounding.current = null;
      return;
    }
    if (work.kind !== 'pattern') return;
    const laid = placed?.laid?.kind === 'pattern' ? placed.laid : null;
    const pattern = laid?.pattern ?? patternOfWork(work);
    const tonic = firstTonic(placed);
    const tempo = laid?.input.tempo ?? work.tempo.usual;
    const events = keySound({ pattern, tonic, tempo, cueBeats: work.cueBeats, avoid: laid?.input.avoid ?? [] });
    sounding.current = { id, until: performance.now() + ((pattern.beats + work.cueBeats) * 60_000) / tempo };
    void loadPiano(events.map(({ midi }) => midi)).then(async () => {
      await wakePiano();
      playPiano(events);
    });
  };
}
