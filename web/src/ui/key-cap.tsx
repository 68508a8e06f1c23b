import type { ReactElement } from 'react';
import classes from './ui.module.css';

/** A key of the keyboard, drawn small beside what it does. */
export function KeyCap({ children }: { readonly children: string }): ReactElement {
  return (
    <kbd className={classes['keyCap']} aria-hidden>
      {children}
    </kbd>
  );
}
