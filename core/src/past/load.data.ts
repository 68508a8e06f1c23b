// Source: a rough guide of voice teaching, no medical measure: minutes of voice weighed by the effort they cost.

/** Weight of a minute of voice by what is sung. */
export const EFFORT = {
  gentle: 0.3,
  speech: 0.5,
  ordinary: 1,
  loud: 1.5,
  belt: 2,
  grit: 3,
} as const;

/** House choice: load from which ordinary singing counts as high or loud, and up to which it is gentle. */
export const EFFORT_LOADS = { gentle: 1, loud: 4 } as const;

/** Source: rough guide; a week over so many times the mean of the four before is much, or asks for a light day. */
export const LOAD_MARKS = { much: 1.3, 'light-day': 1.6 } as const;
