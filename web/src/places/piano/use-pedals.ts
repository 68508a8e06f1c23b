import { useRef } from 'react';
import { ONE_PRESS_MS } from '../../listening/one-press.ts';
import type { PedalName } from '../../ui/keys.data.ts';
import { pedalKept, useKeyChoice } from '../../ui/use-keys.ts';

type PedalKeys = Readonly<Record<string, (event: KeyboardEvent) => void>>;

/**
 * What the pedals of a page-turner do, by the keys they send on this device. One that is held down, or sends twice, was
 * pressed once.
 */
export function usePedals(acts: { readonly [Name in PedalName]?: () => void }): PedalKeys {
  const [choice] = useKeyChoice();
  const last = useRef(-Infinity);
  const pressed = (act: () => void) => (event: KeyboardEvent) => {
    const now = performance.now();
    const isNew = !event.repeat && now - last.current > ONE_PRESS_MS;
    last.current = now;
    if (isNew) act();
  };
  return Object.fromEntries(
    Object.entries(acts).map(([name, act]) => [pedalKept(choice, name as PedalName), pressed(act)]),
  );
}
