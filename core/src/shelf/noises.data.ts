// Source: house choice. Stands by itself, so that what only compares loudness does not bring the whole schema along.
/** How loud an exercise is, the quietest first. */
export const NOISES = ['silent', 'quiet', 'normal', 'loud'] as const;
