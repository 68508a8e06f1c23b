export { frequencyOf, HIGHEST_TUNING_HZ, LOWEST_TUNING_HZ } from './frequency.ts';
export { readNote, writeInterval, writeNote } from './note-name.ts';
export { nameNote, NOTE_SCHEMES, readNoteIn, type NoteNaming, type NoteScheme } from './note-schemes.ts';
export {
  KEY_SPELLINGS,
  keyName,
  pitchClass,
  plainSigns,
  spellDegree,
  type KeySpelling,
  type SpelledNote,
} from './spelling.ts';
