import type { PitchFrame } from '@soft-lark/core';
import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { openEar, type Ear, type EarSource } from '../../listening/ear.ts';
import { DeviceError, type DeviceProblem } from '../../listening/open-stream.ts';

/** Gets frames as they come, with times of the page in seconds. */
type FrameListener = (came: readonly PitchFrame[]) => void;

/** Somebody who is listened to, or why nobody is. */
export interface OpenEar {
  readonly state: 'off' | 'opening' | 'on' | DeviceProblem;
  readonly ear: RefObject<Ear | null>;
  /** Hears what comes in. @returns what ends it */
  readonly onFrames: (listener: FrameListener) => () => void;
}

/** One source at a time; it is let go of with the choice of another, or with the page. */
export function useOpenEar(source: EarSource | null): OpenEar {
  const [opened, setOpened] = useState<{ readonly source: EarSource; readonly state: 'on' | DeviceProblem } | null>(
    null,
  );
  const ear = useRef<Ear | null>(null);
  const listeners = useRef(new Set<FrameListener>());
  useEffect(() => {
    if (source === null) return undefined;
    let isOver = false;
    openEar(source, (came) => {
      for (const listener of listeners.current) listener(came);
    }).then(
      (found) => {
        if (isOver) {
          found.stop();
          return;
        }
        ear.current = found;
        setOpened({ source, state: 'on' });
      },
      (error: unknown) => {
        if (!isOver) setOpened({ source, state: error instanceof DeviceError ? error.code : 'NOT_HERE' });
      },
    );
    return () => {
      isOver = true;
      ear.current?.stop();
      ear.current = null;
      setOpened(null);
    };
  }, [source]);
  const onFrames = useCallback((listener: FrameListener) => {
    const all = listeners.current;
    all.add(listener);
    return () => {
      all.delete(listener);
    };
  }, []);
  const state = source === null ? 'off' : opened?.source === source ? opened.state : 'opening';
  return { state, ear, onFrames };
}
