// Source: usual practice of voice teaching; figures that teachers may disagree on, kept in one place.

/** What can be advised on, and by how much it is raised after good runs and eased after a bad one, in its own unit. */
export const ADVICE_STEPS = {
  /** Semitones. */
  ceiling: { raise: 1, ease: -2 },
  /** Semitones, downwards. */
  floor: { raise: -1, ease: 2 },
  /** Counts of one breath out; dizziness takes a share instead. */
  'out-count': { raise: 1, ease: 0 },
  'hold-seconds': { raise: 2, ease: 0 },
  /** Beats per minute. */
  tempo: { raise: 4, ease: -8 },
  keys: { raise: 1, ease: -2 },
  seconds: { raise: 5, ease: -10 },
} as const;

/** Share of a breath that is left after any dizziness. */
export const AFTER_DIZZINESS = 0.75;
/** Good runs that are wanted before anything is raised. */
export const GOOD_RUNS = 2;
/** Ease of five from which a run was easy, and up to which it was hard. */
export const EASE = { easy: 4, hard: 2 } as const;
