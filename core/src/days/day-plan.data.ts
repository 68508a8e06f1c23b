/** How much there is to sing, which says how much singing comes before it. */
export const PROGRAMMES = ['low', 'usual', 'high'] as const;
export type Programme = (typeof PROGRAMMES)[number];

/** Figures of a day with a performance, minutes, each with its source. */
export const DAY = {
  /** House choice: a high, heavy programme warms up more beforehand, a low one less; shared among the blocks. */
  before: { low: 12, usual: 20, high: 30 },
  /** House choice: no block is shorter than makes sense. */
  leastBlock: 4,
  /** Source: usual advice; a voice that has just woken is left alone for a while. */
  afterWaking: 45,
  /** Source: usual advice; nobody sings well on a full stomach. */
  afterMeal: 30,
  /** House choice: between the end of a block and the beginning of the next; after more the voice is cold again, which is said. */
  between: { least: 45, most: 360 },
  /** House choice: quiet between the last block and going on; longer, and the voice is cold again. */
  rest: { least: 10, usual: 20, most: 90 },
  /** House choice: between coming in and the first note there. */
  afterCall: 5,
  /** House choice: before a second performance the voice is woken again, shortly. */
  refresh: 5,
  /** Source: usual advice; soft and downwards soon after singing. */
  coolDown: { minutes: 6, within: 20 },
  /** The day is laid out in steps of so many minutes. */
  grid: 5,
} as const;

/** What the blocks of a day before a performance are for, by how many there are. */
export const BLOCKS_BEFORE = {
  1: ['ready'],
  2: ['wake', 'ready'],
  3: ['wake', 'build', 'ready'],
  4: ['wake', 'build', 'build', 'ready'],
} as const;
export type BlockCount = keyof typeof BLOCKS_BEFORE;

/** Shares of the minutes before a performance. */
export const BLOCK_SHARES = { wake: 1, build: 2, ready: 2 } as const;
