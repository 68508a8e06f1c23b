import type { Style, VoiceType } from '../voice/index.ts';

/** What a table of students may say of each, a column each. */
export const STUDENT_COLUMNS = ['name', 'voice', 'age', 'style', 'lowest', 'highest', 'speaks', 'note'] as const;
export type StudentColumn = (typeof STUDENT_COLUMNS)[number];

/** Heads of columns as teachers write them, without spaces, marks and capitals. */
export const COLUMN_HEADS: Record<StudentColumn, readonly string[]> = {
  name: ['name', 'student', 'pupil', 'singer', 'fullname', 'studentname'],
  voice: ['voice', 'voicetype', 'type', 'part', 'fach'],
  age: ['age', 'years'],
  style: ['style', 'genre'],
  lowest: ['lowest', 'low', 'bottom', 'from', 'lowestnote', 'rangelow'],
  highest: ['highest', 'high', 'top', 'to', 'highestnote', 'rangehigh'],
  speaks: ['speaks', 'speakingnote', 'speakspitch', 'speaksat'],
  note: ['note', 'notes', 'remark', 'remarks', 'comment', 'comments'],
};

/** Words for voices beside their own names. An alto of a choir is most often a mezzo; the teacher sees what was taken. */
export const VOICE_WORDS: Readonly<Record<string, VoiceType>> = {
  s: 'soprano',
  sop: 'soprano',
  mezzo: 'mezzo-soprano',
  mez: 'mezzo-soprano',
  m: 'mezzo-soprano',
  alto: 'mezzo-soprano',
  a: 'mezzo-soprano',
  ct: 'countertenor',
  t: 'tenor',
  ten: 'tenor',
  bar: 'baritone',
  bari: 'baritone',
  b: 'bass',
  child: 'treble',
  boy: 'treble',
  changingvoice: 'changing',
};

/** Words for styles beside their own names. */
export const STYLE_WORDS: Readonly<Record<string, Style>> = {
  opera: 'classical',
  art: 'classical',
  musical: 'theatre',
  musicals: 'theatre',
  musicaltheatre: 'theatre',
  theater: 'theatre',
  choir: 'choral',
  metal: 'heavy',
  soul: 'rnb',
};
