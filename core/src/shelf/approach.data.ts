// Source: house default for each question on which schools differ; the first choice of each list is the default.
export const APPROACH_CHOICES: Readonly<Record<string, readonly [string, ...string[]]>> = {
  chin: ['level', 'slightly-lowered', 'own'],
  jaw: ['free', 'steady', 'own'],
  'breath-image': ['low-and-wide', 'ribs-open', 'low-abdomen', 'back-and-length'],
  'vowel-up-high': ['opens', 'same', 'closes'],
};
