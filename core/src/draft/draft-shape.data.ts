// Source: house reading of usual practice. What a teacher may set of it stands in the rule table.

/** Ease up to which an exercise does not come back as it was. */
export const POOR_EASE = 2;

/** How far a step turns after it was easy twice or marked twice: beats per minute, semitones; and where tempo ends. */
export const TURNED = { faster: 4, slower: 8, lower: 2, slowest: 40, fastest: 200 } as const;

/** From so many minutes on, what a student wants gets this share of the places, so that it is a third of what is sung. */
export const WANTS = { fromMinutes: 10, share: 0.4, weight: 2, leastShare: 0.5 } as const;

/** Up to so many minutes explaining may take a larger share; less of it once a student knows so many exercises. */
export const EXPLAINING = { shortMinutes: 5, fewKnown: 20 } as const;

/** No step of a draft is longer than this share of the minutes, or so many seconds. */
export const LONGEST_STEP = { share: 0.22, least: 70, most: 240 } as const;
