/** Figures of the weeks before a date, each with its source; shares are of a usual week. */
export const WEEKS = {
  /** House choice: further ahead nobody plans by weeks. */
  most: 12,
  /** Source: usual advice of training; each week by a tenth more than the one before. */
  growsBy: 0.1,
  /** House choice: all of the growth together. */
  mostShare: 1.5,
  /** House choice: how many weeks the most is held, by how many weeks there are at least. */
  holds: [
    { fromWeeks: 5, weeks: 2 },
    { fromWeeks: 2, weeks: 1 },
  ],
  /** House choice: less than usual in the last week, and in the one before it where there are at least so many. */
  eases: [
    { fromWeeks: 6, shares: [0.9, 0.6] },
    { fromWeeks: 1, shares: [0.6] },
  ],
} as const;
