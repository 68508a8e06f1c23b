/** House choice, for a pattern and for its syllables: 256 notes, each with a duration of its own, need a tenth of it. Characters. */
export const LONGEST_TEXT = 20_000;
