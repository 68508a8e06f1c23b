import * as Note from '@tonaljs/note';

/** A spelled note: `letter` with its accidental signs (♯ ♭ ♮ characters) and octave number. */
export interface SpelledNote {
  readonly letter: string;
  readonly accidental: string;
  readonly octave: number;
}

function toSpelledNote(name: string): SpelledNote {
  const note = Note.get(name);
  return {
    letter: note.letter,
    accidental: note.acc.replaceAll('#', '♯').replaceAll('b', '♭'),
    octave: note.oct ?? 0,
  };
}

/** Accidental signs as the letters other programs take: ♯ as #, ♭ as b. */
export function plainSigns(name: string): string {
  return name.replaceAll('♯', '#').replaceAll('♭', 'b');
}

/** The pitch class of a note or an interval: 0 for C, 11 for B. */
export function pitchClass(semitones: number): number {
  return ((semitones % 12) + 12) % 12;
}

/** How black keys are named: the usual mixture, sharps only, or flats only. */
export const KEY_SPELLINGS = ['usual', 'sharps', 'flats'] as const;
export type KeySpelling = (typeof KEY_SPELLINGS)[number];

const KEY_NAMES: Readonly<Record<KeySpelling, readonly string[]>> = {
  usual: ['C', 'D♭', 'D', 'E♭', 'E', 'F', 'F♯', 'G', 'A♭', 'A', 'B♭', 'B'],
  sharps: ['C', 'C♯', 'D', 'D♯', 'E', 'F', 'F♯', 'G', 'G♯', 'A', 'A♯', 'B'],
  flats: ['C', 'D♭', 'D', 'E♭', 'E', 'F', 'G♭', 'G', 'A♭', 'A', 'B♭', 'B'],
};

/**
 * Name of the key on a tonic, without octave.
 *
 * @param midi whole MIDI number of the tonic
 * @example keyName(66) // 'F♯'
 */
export function keyName(midi: number, spelling: KeySpelling = 'usual'): string {
  return KEY_NAMES[spelling][pitchClass(midi)] ?? '';
}

/** Semitones of the major scale, against which an interval's quality is measured. */
const MAJOR = [0, 2, 4, 5, 7, 9, 11] as const;
const PERFECT_DEGREES = [0, 3, 4];

function intervalName(degreeIndex: number, semitones: number): string {
  const octaves = Math.floor(degreeIndex / 7);
  const simple = degreeIndex - octaves * 7;
  const difference = semitones - octaves * 12 - (MAJOR[simple] ?? 0);
  const number = String(degreeIndex + 1);
  if (difference > 0) return number + 'A'.repeat(difference);
  if (PERFECT_DEGREES.includes(simple)) return number + (difference === 0 ? 'P' : 'd'.repeat(-difference));
  if (difference === 0) return number + 'M';
  return number + (difference === -1 ? 'm' : 'd'.repeat(-difference - 1));
}

/**
 * Spells a scale degree in a key, so that the third of F♯ major is A♯ and of G♭ major B♭.
 *
 * @param tonicMidi whole MIDI number of degree 1
 * @param degreeIndex scale steps above the tonic, 0 or more (0 is degree 1)
 * @param semitones semitones above the tonic
 * @example spellDegree(66, 2, 4) // { letter: 'A', accidental: '♯', octave: 4 }
 */
export function spellDegree(
  tonicMidi: number,
  degreeIndex: number,
  semitones: number,
  spelling: KeySpelling = 'usual',
): SpelledNote {
  const key = plainSigns(keyName(tonicMidi, spelling));
  const tonic = `${key}${String(Math.floor(tonicMidi / 12) - 1)}`;
  return toSpelledNote(Note.transpose(tonic, intervalName(degreeIndex, semitones)));
}
