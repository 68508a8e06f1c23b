import type { Exercise, LaidStep } from '@soft-lark/core';
import { useEffect, useState } from 'react';

/** So many are worked out at a time; a shelf of thousands must not hold the page up. */
const AT_ONCE = 150;

type Place = (exercise: Exercise) => LaidStep | null;

interface Worked {
  readonly place: Place;
  readonly exercises: readonly Exercise[];
  readonly laid: ReadonlyMap<string, LaidStep>;
}

const NONE: ReadonlyMap<string, LaidStep> = new Map();

/**
 * What every exercise comes to for the student in hand, worked out a few at a time.
 *
 * @returns by id, once all are done; empty before
 */
export function useLaid(exercises: readonly Exercise[], place: Place): ReadonlyMap<string, LaidStep> {
  const [worked, setWorked] = useState<Worked | null>(null);
  useEffect(() => {
    const laid = new Map<string, LaidStep>();
    let next = 0;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const work = (): void => {
      for (const exercise of exercises.slice(next, next + AT_ONCE)) {
        const step = place(exercise);
        if (step) laid.set(exercise.id, step);
      }
      next += AT_ONCE;
      if (next < exercises.length) timer = setTimeout(work, 0);
      else setWorked({ place, exercises, laid });
    };
    timer = setTimeout(work, 0);
    return () => {
      clearTimeout(timer);
    };
  }, [exercises, place]);
  return worked?.place === place && worked.exercises === exercises ? worked.laid : NONE;
}
