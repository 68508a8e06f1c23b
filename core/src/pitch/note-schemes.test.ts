import fc from 'fast-check';
import { thrownBy } from '../testing/thrown.ts';
import { nameNote, NOTE_SCHEMES, readNoteIn, type NoteNaming } from './index.ts';

test.each<[number, NoteNaming, string]>([
  [66, { scheme: 'scientific' }, 'F♯4'],
  [66, { scheme: 'helmholtz' }, 'f♯′'],
  [46, { scheme: 'helmholtz' }, 'B♭'],
  [84, { scheme: 'helmholtz' }, 'c′′′'],
  [24, { scheme: 'helmholtz' }, 'C͵'],
  [66, { scheme: 'german' }, 'fis′'],
  [58, { scheme: 'german' }, 'b'],
  [59, { scheme: 'german' }, 'h'],
  [51, { scheme: 'german' }, 'es'],
  [56, { scheme: 'german' }, 'as'],
  [54, { scheme: 'german', spelling: 'flats' }, 'ges'],
  [66, { scheme: 'fixed-do' }, 'Fa♯4'],
  [60, { scheme: 'fixed-do', middleDo: 3 }, 'Do3'],
])('%p in %p is %p', (midi, naming, name) => {
  expect(nameNote(midi, naming)).toBe(name);
  expect(readNoteIn(name, naming)).toBe(midi);
});

test.each<[string, NoteNaming, number]>([
  ["c'", { scheme: 'helmholtz' }, 60],
  ['bb', { scheme: 'helmholtz' }, 58],
  ['C,', { scheme: 'helmholtz' }, 24],
  ['heses', { scheme: 'german' }, 57],
  ['eses', { scheme: 'german' }, 50],
  ['cisis', { scheme: 'german' }, 50],
  ['sol#3', { scheme: 'fixed-do', middleDo: 3 }, 68],
  ['F#4', { scheme: 'german' }, 66],
])('%p is taken in %p', (text, naming, midi) => {
  expect(readNoteIn(text, naming)).toBe(midi);
});

test.each<[string, NoteNaming]>([
  ['B3', { scheme: 'german' }],
  ['bes', { scheme: 'fixed-do' }],
  ['hs', { scheme: 'german' }],
  ['ees', { scheme: 'german' }],
  ['do', { scheme: 'fixed-do' }],
  ['c,', { scheme: 'helmholtz' }],
  ["C'", { scheme: 'german' }],
  ["c'''''''", { scheme: 'helmholtz' }],
  ['', { scheme: 'helmholtz' }],
])('%p is refused in %p', (text, naming) => {
  expect(thrownBy(() => readNoteIn(text, naming))).toMatchObject({ name: 'PitchError', code: 'BAD_NOTE_NAME' });
});

test('every note is read back as it was written, in every scheme and spelling', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 127 }),
      fc.constantFrom(...NOTE_SCHEMES),
      fc.constantFrom('usual' as const, 'sharps' as const, 'flats' as const),
      fc.constantFrom(3 as const, 4 as const),
      (midi, scheme, spelling, middleDo) => {
        const naming = { scheme, spelling, middleDo };
        return readNoteIn(nameNote(midi, naming), naming) === midi;
      },
    ),
  );
});
