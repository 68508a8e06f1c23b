import { useCallback, useState } from 'react';

/** Whether a row is chosen alone, up to it from the one before, or besides others. */
export type Reach = 'alone' | 'up-to' | 'besides';

export interface Selection {
  /** The step the panel shows. */
  readonly chosenId: string | undefined;
  /** Steps chosen together; empty while only one is. */
  readonly ids: readonly string[];
  readonly choose: (stepId: string | undefined, reach?: Reach) => void;
  /** Shows a step without letting go of what is chosen together. */
  readonly show: (stepId: string) => void;
}

function between(all: readonly string[], from: string | undefined, to: string): readonly string[] {
  const [a, b] = [all.indexOf(from ?? to), all.indexOf(to)];
  return all.slice(Math.min(a, b), Math.max(a, b) + 1);
}

/**
 * Steps chosen on the bench, one or several.
 *
 * @param first the step that is shown to begin with
 */
export function useSelection(all: readonly string[], first?: string): Selection {
  const places = all.join(' ');
  const [state, setState] = useState<{
    readonly chosenId: string | undefined;
    readonly anchor: string | undefined;
    readonly ids: readonly string[];
  }>({ chosenId: first, anchor: first, ids: [] });
  const choose = useCallback<Selection['choose']>(
    (stepId, reach = 'alone') => {
      setState(({ anchor, ids, chosenId }) => {
        if (stepId === undefined || reach === 'alone') return { chosenId: stepId, anchor: stepId, ids: [] };
        if (reach === 'up-to') return { chosenId: stepId, anchor, ids: between(places.split(' '), anchor, stepId) };
        const others = ids.length === 0 && chosenId !== undefined ? [anchor ?? chosenId] : ids;
        const kept = others.includes(stepId) ? others.filter((id) => id !== stepId) : [...others, stepId];
        return { chosenId: stepId, anchor: stepId, ids: kept };
      });
    },
    [places],
  );
  const show = useCallback<Selection['show']>((stepId) => {
    setState((last) => ({ ...last, chosenId: stepId, anchor: last.anchor ?? stepId }));
  }, []);
  return { chosenId: state.chosenId, ids: state.ids.filter((id) => all.includes(id)), choose, show };
}
