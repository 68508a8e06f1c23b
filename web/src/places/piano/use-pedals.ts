import { useState } from 'react';
import { onePress } from '../../listening/one-press.ts';
import type { PedalName } from '../../ui/keys.data.ts';
import { pedalKept, useKeyChoice } from '../../ui/use-keys.ts';

type PedalKeys = Readonly<Record<string, (event: KeyboardEvent) => void>>;

/**
 * What the pedals of a page-turner do, by the keys they send on this device. One that is held down, or sends twice, was
 * pressed once.
 */
export function usePedals(acts: { readonly [Name in PedalName]?: () => void }): PedalKeys {
  const [choice] = useKeyChoice();
  const [once] = useState(onePress);
  const pressed = (act: () => void) => (event: KeyboardEvent) => {
    if (!event.repeat) once(event.timeStamp, act);
  };
  return Object.fromEntries(
    Object.entries(acts).map(([name, act]) => [pedalKept(choice, name as PedalName), pressed(act)]),
  );
}
