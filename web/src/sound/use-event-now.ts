import type { Pattern } from '@soft-lark/core';
import { useEffect, useEffectEvent, useState } from 'react';

/** A tune that sounds. */
export interface Sounding {
  /** What sounds; another one is counted from its own start. */
  readonly id: string;
  readonly tempo: number;
  /** Seconds until its first event; below nought where it has begun. */
  readonly startsIn: number;
}

/** Which event of a pattern sounds now; null before it, after it and while nothing does. */
export function useEventNow(pattern: Pattern | undefined, sounding: Sounding | null): number | null {
  const [now, setNow] = useState<{ readonly id: string; readonly index: number } | null>(null);
  const follow = useEffectEvent((): readonly ReturnType<typeof setTimeout>[] => {
    if (!pattern || !sounding) return [];
    const { id, tempo, startsIn } = sounding;
    let at = startsIn * 1000;
    const timers = pattern.events.flatMap(({ beats }, index) => {
      const from = at;
      at += (beats * 60_000) / tempo;
      const show = (): void => {
        setNow({ id, index });
      };
      return at > 0 ? [setTimeout(show, Math.max(0, from))] : [];
    });
    const end = (): void => {
      setNow(null);
    };
    return [...timers, setTimeout(end, Math.max(0, at))];
  });
  const id = sounding?.id;
  useEffect(() => {
    const timers = follow();
    return () => {
      timers.forEach(clearTimeout);
    };
  }, [pattern, id]);
  return now !== null && now.id === id ? now.index : null;
}
