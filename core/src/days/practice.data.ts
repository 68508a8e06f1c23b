/** Figures of practice between lessons, each with its source. */
export const PRACTICE = {
  /** House choice: a go is long enough to come to something and short enough to be done. Minutes. */
  minutesAGo: [2, 40],
  /** Source: usual advice, little and often: short goes a few hours apart. Hours between two beginnings. */
  leastGapHours: 2,
  goesADay: [1, 5],
  weeks: [1, 12],
  /** Source: usual advice; after so many weeks what was set is looked at again, whatever came of it. */
  reviewAfterWeeks: 6,
} as const satisfies Record<string, number | readonly [number, number]>;
