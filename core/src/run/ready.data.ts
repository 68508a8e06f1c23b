// Source: house wording; what a teacher listens for before stopping. A studio asks its own instead.

/** A yes-or-no question before the cool-down, and the goal that a no asks work for. */
export interface ReadyQuestion {
  readonly text: string;
  readonly goal: string;
}

/** Source: house choice; more questions than this are an examination. */
export const MOST_READY_QUESTIONS = 3;

export const USUAL_READY_QUESTIONS: readonly ReadyQuestion[] = [
  { text: 'Does it feel easy in the middle?', goal: 'ease' },
  { text: 'Is there breath for a whole line?', goal: 'breath-length' },
  { text: 'Do jaw and tongue stay out of the way?', goal: 'release-jaw' },
];

/** The glide through the range that is asked about last; where it does not join, the bridge is worked on. */
export const READY_GLIDE = 'bridge';

/** Source: usual length of a short mending block. Seconds, set-up included. */
export const REPAIR_SECONDS = { least: 30, most: 90 } as const;

/** House choice: a repair is gentle. */
export const REPAIR_LOAD = 2;
