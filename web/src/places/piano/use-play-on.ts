import type { SoundEvent } from '@soft-lark/core';
import { useEffect, useEffectEvent, useRef } from 'react';
import { pianoTime, playPiano, stopPiano } from '../../sound/piano.ts';
import type { SoundElsewhere } from './use-far-side.ts';

/** So much before a key is due it is handed to the audio clock: a busy page may be late by that, and no note is. */
const AHEAD_SECONDS = 0.15;

interface PlayOn {
  /** What is on, by name: another one sounds from its start. */
  readonly moment: string;
  readonly isGoing: boolean;
  readonly events: readonly SoundEvent[];
  /** Seconds from its start to the start of what comes next; null where the teacher has to say when. */
  readonly lasts: number | null;
  /** Whether what comes next comes by itself. */
  readonly isOn: boolean;
  /** Where it sounds instead of here. */
  readonly elsewhere?: SoundElsewhere | undefined;
  readonly goOn: () => void;
}

/** Sounds what is on, and goes on by itself in time: one key begins exactly where the one before it ends. */
export function usePlayOn({ moment, isGoing, events, lasts, isOn, elsewhere, goOn }: PlayOn): void {
  const began = useRef(0);
  const due = useRef(0);
  const sound = useEffectEvent(() => {
    began.current = playPiano(elsewhere ? [] : events, due.current);
    due.current = 0;
    elsewhere?.(events, began.current - pianoTime());
  });
  const silence = useEffectEvent(() => {
    stopPiano();
    elsewhere?.([], 0);
  });
  useEffect(() => {
    if (isGoing) sound();
    else silence();
  }, [moment, isGoing]);
  const next = useEffectEvent(() => {
    if (lasts === null) return;
    due.current = began.current + lasts;
    goOn();
  });
  useEffect(() => {
    if (!isOn || !isGoing || lasts === null) return undefined;
    const wait = began.current + lasts - AHEAD_SECONDS - pianoTime();
    const timer = setTimeout(next, Math.min(lasts, Math.max(0, wait)) * 1000);
    return () => {
      clearTimeout(timer);
    };
  }, [moment, isGoing, isOn, lasts]);
}
