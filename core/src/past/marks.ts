/** Marks a teacher puts on a key; the last four stop the step, three say how the voice sounds. */
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
