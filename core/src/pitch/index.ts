export { frequencyOf } from './frequency.ts';
export { readNote, writeNote } from './note-name.ts';
export { keyName, spellDegree, type KeySpelling, type SpelledNote } from './spelling.ts';
