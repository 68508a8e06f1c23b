import type { Exercise } from '@soft-lark/core';
import { useCallback, useState, type Dispatch } from 'react';
import { v7 } from 'uuid';
import type { BenchAction } from './bench.reducer.ts';

/** The shelf opened over the bench, and what is taken from it. */
export interface Adding {
  readonly isOpen: boolean;
  readonly open: () => void;
  readonly close: () => void;
  /** Adds exercises as steps and chooses the last; the shelf closes. */
  readonly add: (exerciseIds: readonly string[]) => void;
}

/** Opens and closes the shelf, and adds what is taken from it. */
export function useAdding(
  shelf: ReadonlyMap<string, Exercise>,
  act: Dispatch<BenchAction>,
  choose: (id: string | undefined) => void,
): Adding {
  const [isOpen, setOpen] = useState(false);
  const open = useCallback(() => {
    setOpen(true);
  }, []);
  const close = useCallback(() => {
    setOpen(false);
  }, []);
  const add = (exerciseIds: readonly string[]): void => {
    const added = exerciseIds.map((exerciseId) => ({ id: v7(), exerciseId, settings: {} }));
    act({ type: 'add', steps: added, shelf });
    choose(added.at(-1)?.id);
    close();
  };
  return { isOpen, open, close, add };
}
