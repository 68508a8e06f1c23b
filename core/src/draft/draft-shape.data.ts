// Source: house reading of usual practice: few things, done through the voice, that come back.

/** How a draft of so many minutes is shaped. */
export interface DraftShape {
  readonly minutes: number;
  /** Exercises, at least and at most. */
  readonly least: number;
  readonly most: number;
  /** Of them new to the student, gentle first-level work not counted. */
  readonly mostNew: number;
  /** Of them without voice: body, breath, listening. */
  readonly mostSilent: number;
}

const shape = (minutes: number, least: number, most: number, mostNew: number, mostSilent: number): DraftShape => ({
  ...{ minutes, least, most, mostNew, mostSilent },
});

/** A draft takes the last shape that is not longer than its minutes. */
export const DRAFT_SHAPES: readonly DraftShape[] = [
  shape(0, 3, 3, 1, 0),
  shape(5, 4, 5, 1, 1),
  shape(8, 5, 6, 1, 1),
  shape(10, 6, 8, 2, 2),
  shape(12, 7, 9, 2, 2),
  shape(15, 8, 10, 2, 3),
  shape(20, 10, 12, 3, 3),
  shape(30, 12, 16, 3, 4),
  shape(45, 16, 20, 3, 5),
];

/** The cool-down: a share of the minutes, but never less than so many seconds; more after heavy work. */
export const COOL_DOWN = {
  share: 0.15,
  least: 60,
  leastInShort: 45,
  shortMinutes: 5,
  afterHeavy: 180,
  heavyLoad: 4,
} as const;

/** The share of a draft that comes back from the last run; and ease up to which an exercise does not come back as it was. */
export const CONTINUITY = { share: 0.75, poorEase: 2 } as const;

/** The share of a draft, pinned steps counted, that another draft puts something else for. */
export const ANOTHER = { share: 0.4 } as const;

/** From so many minutes on, what a student wants gets this share of the places, so that it is a third of what is sung. */
export const WANTS = { fromMinutes: 10, share: 0.5, weight: 2, leastShare: 0.5 } as const;

/** Under this age there is one exercise fewer, and none is longer than so many seconds. */
export const YOUNG_SHAPE = { under: 13, mostSeconds: 120 } as const;

/** In a first lesson no more than this share of the minutes goes into explaining; a third in short ones; less later, once a student knows so many exercises. */
export const MOST_EXPLAINING = { share: 0.25, inShort: 1 / 3, shortMinutes: 5, later: 0.12, fewKnown: 20 } as const;

/** No step of a draft is longer than this share of the minutes, or so many seconds. */
export const LONGEST_STEP = { share: 0.22, least: 70, most: 240 } as const;
