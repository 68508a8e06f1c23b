import type { ReactElement } from 'react';
import type { KeyName, KeyPlace } from './keys.data.ts';
import { keyOf, useKeyChoice } from './use-keys.ts';
import classes from './ui.module.css';

/** A key of the keyboard, drawn small beside what it does. */
export function KeyCap({ children }: { readonly children: string }): ReactElement {
  return (
    <kbd className={classes['keyCap']} aria-hidden>
      {children}
    </kbd>
  );
}

/** The single key of an act, as this device has it; nothing where single keys are off. */
export function KeyFor<Place extends KeyPlace>({
  place,
  name,
}: {
  readonly place: Place;
  readonly name: KeyName<Place>;
}): ReactElement | null {
  const [choice] = useKeyChoice();
  const key = keyOf(choice, place, name);
  return key === null ? null : <KeyCap>{key.toUpperCase()}</KeyCap>;
}
