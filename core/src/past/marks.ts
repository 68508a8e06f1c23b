/** What an exercise itself says to watch for, where no common word does: the first of those, the second, the third. */
export const OWN_MARKS = ['own-1', 'own-2', 'own-3'] as const;

/** Marks a teacher puts on a key; four stop the step, three say how the voice sounds. */
export const MARKS = [
  'strain',
  'crack',
  'easy',
  'pitch',
  'breath',
  'tension',
  'breathy',
  'rough',
  'creak',
  'pain',
  'tickle',
  'cough',
  'dizzy',
  ...OWN_MARKS,
] as const;
export type Mark = (typeof MARKS)[number];
export const STOP_MARKS: ReadonlySet<Mark> = new Set(['pain', 'tickle', 'cough', 'dizzy']);

/** What became of a key that was to be sung. */
export const KEY_OUTCOMES = ['sung', 'skipped'] as const;
export type KeyOutcome = (typeof KEY_OUTCOMES)[number];

/** Whether a key did not come as it should. */
export function isMissed({ marks }: { readonly marks: readonly Mark[] }): boolean {
  return marks.some((mark) => mark !== 'easy');
}
