import type { PointerEvent } from 'react';

/** After a tap the focus is let go of, so that the space bar pauses and does not press the button again. */
export function letGo({ currentTarget }: PointerEvent<HTMLElement>): void {
  currentTarget.blur();
}
