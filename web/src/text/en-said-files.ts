/** What a file or a melody cannot keep, by its code. */
export const lost = {
  'chords-to-first': 'Of chords only the first note is kept.',
  'chords-to-highest': 'Of chords only the highest note is kept.',
  glides: 'Glides become two notes each: MIDI has no written slide.',
  graces: 'Grace notes are left out.',
  'joined-glides': 'Glides over several notes become single glides.',
  keys: 'The key changes on the way; degrees are counted in the first key.',
  marks: 'Marks such as staccato or crescendo are left out.',
  overlaps: 'Notes that overlap end where the next begins.',
  parts: 'Of {{count}} parts only one is kept.',
  repeats: 'Repeats are not played out.',
  sign: 'Line {{line}} of the tune: “{{sign}}” could not be read and is left out.',
  'tempo-of-zero': 'The tempo is zero; the usual one is taken.',
  tempos: 'Changes of tempo are left out.',
  tracks: 'Of {{count}} tracks with notes only the first is kept.',
  tunes: 'Of {{count}} tunes only the first is kept.',
  voices: 'Only the first voice is kept.',
} as const;

/** Why an item of a file is not taken in. */
export const importing = {
  shipped: 'It ships with Soft Lark and is not written over. Give it another id to have both.',
  twice: '“{{id}}” stands in the file twice.',
} as const;
