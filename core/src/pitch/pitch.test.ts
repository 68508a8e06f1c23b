import fc from 'fast-check';
import { thrownBy } from '../testing/thrown.ts';
import { PitchError } from '../errors.ts';
import { frequencyOf, keyName, readNote, spellDegree, writeNote } from './index.ts';

describe('frequencyOf', () => {
  test.each([
    [69, undefined, 440],
    [57, undefined, 220],
    [60, undefined, 261.6256],
    [69, 442, 442],
    [81, 380, 760],
  ])('midi %p at %p Hz is %p Hz', (midi, a4, hz) => {
    expect(frequencyOf(midi, a4)).toBeCloseTo(hz, 3);
  });

  test.each([[379.9], [480.1], [Number.NaN]])('refuses a tuning of %p Hz', (a4) => {
    expect(thrownBy(() => frequencyOf(69, a4))).toMatchObject({ name: 'PitchError', code: 'BAD_TUNING' });
  });
});

describe('note names', () => {
  test.each([
    ['C4', 60],
    ['F#4', 66],
    ['f♯4', 66],
    ['Bb3', 58],
    ['B♭3', 58],
    ['bb3', 58],
    ['Cb4', 59],
    ['B#3', 60],
    [' a4 ', 69],
    ['C-1', 0],
    ['G9', 127],
  ])('%p reads as %p', (text, midi) => {
    expect(readNote(text)).toBe(midi);
  });

  test.each(['', 'H4', 'C', '4', 'C44', 'G#9', 'C#b4', 'Ｃ4', 'C4 D4'])('%p is refused', (text) => {
    expect(() => readNote(text)).toThrow(PitchError);
  });

  test('every key has its usual name, and the two preferences theirs', () => {
    const names = (spelling?: 'sharps' | 'flats'): string =>
      Array.from({ length: 12 }, (_, key) => keyName(key, spelling)).join(' ');
    expect(names()).toBe('C D♭ D E♭ E F F♯ G A♭ A B♭ B');
    expect(names('sharps')).toBe('C C♯ D D♯ E F F♯ G G♯ A A♯ B');
    expect(names('flats')).toBe('C D♭ D E♭ E F G♭ G A♭ A B♭ B');
  });

  test('every note is read back as it was written', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 127 }),
        fc.constantFrom('usual' as const, 'sharps' as const, 'flats' as const),
        (midi, spelling) => {
          expect(readNote(writeNote(midi, spelling))).toBe(midi);
        },
      ),
    );
  });
});

describe('spellDegree', () => {
  test.each([
    ['third of F♯ major', 66, 2, 4, 'usual', 'A♯4'],
    ['third of G♭ major', 66, 2, 4, 'flats', 'B♭4'],
    ['fourth of F major', 65, 3, 5, 'usual', 'B♭4'],
    ['flat seventh of D♭', 61, 6, 10, 'usual', 'C♭5'],
    ['ninth of C', 60, 8, 14, 'usual', 'D5'],
    ['raised fourth of C', 60, 3, 6, 'usual', 'F♯4'],
  ] as const)('%s', (_, tonic, degree, semitones, spelling, name) => {
    const { letter, accidental, octave } = spellDegree(tonic, degree, semitones, spelling);
    expect(`${letter}${accidental}${String(octave)}`).toBe(name);
  });
});
