/** Whether the keys of a ladder follow one another by themselves. */
export const PACES = ['plays-on', 'waits'] as const;
export type Pace = (typeof PACES)[number];

// Source: house default for each question on which schools differ; the first choice of each list is the default.
export const APPROACH_CHOICES: Readonly<Record<string, readonly [string, ...string[]]>> = {
  travel: ['rise-and-home', 'by-condition', 'rise-only', 'high-to-low'],
  chin: ['level', 'slightly-lowered', 'own'],
  jaw: ['free', 'steady', 'own'],
  'breath-image': ['low-and-wide', 'ribs-open', 'low-abdomen', 'back-and-length'],
  'breath-share': ['some', 'brief', 'thorough'],
  'breath-through': ['either', 'nose', 'mouth'],
  'breath-holds': ['off', 'gentle', 'timed'],
  cracks: ['early-then-smooth', 'always-smooth', 'invited'],
  'vowel-up-high': ['opens', 'same', 'closes'],
  placement: ['forward-with-space', 'forward', 'back-and-depth'],
  'loudness-going-up': ['even', 'grows', 'stays-soft'],
  'may-do': ['restore', 'restore-and-extend'],
  'sound-judged': ['last-stage', 'always', 'never'],
  'at-the-piano': PACES,
  'ladder-top': ['first-effort', 'measured', 'any-register'],
};
