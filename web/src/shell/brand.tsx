import type { ReactElement } from 'react';
import classes from './shell.module.css';

/** The mark: a line of flight with one note on it. */
export function Brand({ name }: { readonly name?: string }): ReactElement {
  return (
    <span className={classes['brand']}>
      <svg width="30" height="20" viewBox="0 0 30 20" aria-hidden>
        <path
          d="M1 16c4 0 5-3 7-7s6-4 8-1 4 6 7 5 3-4 6-4"
          fill="none"
          stroke="var(--plum)"
          strokeWidth="2.4"
          strokeLinecap="round"
        />
        <circle cx="14.4" cy="6.2" r="3" fill="var(--apricot)" />
      </svg>
      {name && <span className="heading">{name}</span>}
    </span>
  );
}
