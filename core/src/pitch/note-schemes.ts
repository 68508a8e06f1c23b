import { PitchError } from '../errors.ts';
import { keyName, type KeySpelling } from './spelling.ts';

/** Ways to name a note: F♯4, f♯′, fis′, Fa♯4. */
export const NOTE_SCHEMES = ['scientific', 'helmholtz', 'german', 'fixed-do'] as const;
export type NoteScheme = (typeof NOTE_SCHEMES)[number];

/** How a studio names notes. `middleDo` is the number of middle C in fixed-do, 3 or 4. */
export interface NoteNaming {
  readonly scheme: NoteScheme;
  readonly spelling?: KeySpelling;
  readonly middleDo?: number;
}

const LETTERS: Readonly<Record<string, number>> = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11, H: 11 };
const SOL_FA = { Do: 'C', Re: 'D', Ré: 'D', Mi: 'E', Fa: 'F', Sol: 'G', La: 'A', Si: 'B', Ti: 'B' } as const;
const SYLLABLES: Readonly<Record<string, string>> = {
  C: 'Do',
  D: 'Re',
  E: 'Mi',
  F: 'Fa',
  G: 'Sol',
  A: 'La',
  B: 'Si',
};
const MIDDLE_OCTAVE = 4;
const HIGHEST_MIDI = 127;

/** The octave as strokes: C2 is C, C3 c, C4 c′, C1 C͵. */
function strokes(octave: number): string {
  return octave >= 3 ? '′'.repeat(octave - 3) : '͵'.repeat(2 - octave);
}

function germanName(key: string): string {
  const [letter = '', accidental = ''] = key;
  if (key === 'B♭') return 'B';
  if (key === 'B') return 'H';
  if (accidental === '♯') return `${letter}is`;
  if (accidental !== '♭') return letter;
  return letter === 'E' || letter === 'A' ? `${letter}s` : `${letter}es`;
}

/**
 * Writes a pitch in a naming scheme, spelled as a ladder key.
 *
 * @param midi whole MIDI number, 0–127
 * @throws PitchError `BAD_MIDI`
 * @example nameNote(66, { scheme: 'german' }) // 'fis′'
 */
export function nameNote(midi: number, { scheme, spelling = 'usual', middleDo = 4 }: NoteNaming): string {
  if (!Number.isInteger(midi)) {
    throw new PitchError('BAD_MIDI', `${String(midi)} is not a whole pitch.`, 'Round it to a semitone first.', {
      midi: String(midi),
    });
  }
  const key = keyName(midi, spelling);
  const octave = Math.floor(midi / 12) - 1;
  switch (scheme) {
    case 'scientific':
      return key + String(octave);
    case 'fixed-do':
      return `${SYLLABLES[key[0] ?? ''] ?? ''}${key.slice(1)}${String(octave + middleDo - MIDDLE_OCTAVE)}`;
    case 'helmholtz':
      return (octave >= 3 ? (key[0] ?? '').toLowerCase() + key.slice(1) : key) + strokes(octave);
    case 'german': {
      const name = germanName(key);
      return (octave >= 3 ? name.toLowerCase() : name) + strokes(octave);
    }
  }
}

/** Semitones of accidental signs; `b` counts as a flat. */
function signsOf(text: string): number {
  return text.replace(/[b♭♮]/g, '').length - text.replace(/[#♯♮]/g, '').length;
}

const PATTERNS: Readonly<Record<NoteScheme, RegExp>> = {
  scientific: /^([A-Ga-g])(#{1,2}|♯{1,2}|b{1,2}|♭{1,2}|♮)?(-?\d)$/,
  helmholtz: /^([A-Ga-g])(#{1,2}|♯{1,2}|b{1,2}|♭{1,2}|♮)?([,͵]*|['′″]*)$/,
  german: /^([A-Ha-h])(isis|is|eses|ses|es|s)?([,͵]*|['′″]*)$/,
  'fixed-do': /^(do|re|ré|mi|fa|sol|la|si|ti)(#{1,2}|♯{1,2}|b{1,2}|♭{1,2}|♮)?(-?\d)$/i,
};

function octaveOfStrokes(letter: string, marks: string): number {
  const count = marks.replaceAll('″', '′′').length;
  const isSmall = letter === letter.toLowerCase();
  // Strokes belong to small letters and commas to capitals; anything else is no name.
  if (count > 0 && isSmall !== /['′″]/.test(marks)) return Number.NaN;
  return isSmall ? 3 + count : 2 - count;
}

function germanSigns(letter: string, ending: string): number {
  if (ending.startsWith('is')) return ending.length / 2;
  if (ending === '') return letter.toUpperCase() === 'B' ? -1 : 0;
  return ending === 'ses' || ending === 'eses' ? -2 : -1;
}

function readWith(scheme: NoteScheme, match: RegExpExecArray, middleDo: number): number {
  const [, name = '', signs = '', place = ''] = match;
  const isSolFa = scheme === 'fixed-do';
  const syllable = name.charAt(0).toUpperCase() + name.slice(1).toLowerCase();
  const letter = isSolFa ? SOL_FA[syllable as keyof typeof SOL_FA] : name.toUpperCase();
  const semitones = (LETTERS[letter] ?? Number.NaN) + (scheme === 'german' ? germanSigns(name, signs) : signsOf(signs));
  const octave =
    scheme === 'scientific'
      ? Number(place)
      : isSolFa
        ? Number(place) - middleDo + MIDDLE_OCTAVE
        : octaveOfStrokes(name, place);
  return 12 * (octave + 1) + semitones;
}

/** Whether a German name is one: h and b take no flat of their own, only e and a shorten it. */
function isGermanName([, name = '', ending = '']: RegExpExecArray): boolean {
  const letter = name.toUpperCase();
  if (ending === 's' || ending === 'ses') return letter === 'E' || letter === 'A';
  if (letter === 'B') return ending === '' || ending === 'es';
  return !((letter === 'E' || letter === 'A') && ending.startsWith('es'));
}

/**
 * Reads a note in the studio's naming; a scientific name is always taken as well where it cannot be mistaken.
 *
 * @returns MIDI number, 0–127
 * @throws PitchError `BAD_NOTE_NAME`
 * @example readNoteIn('h', { scheme: 'german' }) // 59
 */
export function readNoteIn(text: string, { scheme, middleDo = 4 }: NoteNaming): number {
  const trimmed = text.trim();
  const own = PATTERNS[scheme].exec(trimmed);
  const match = own && (scheme !== 'german' || isGermanName(own)) ? own : null;
  const isMistakable = scheme === 'german' && /^b-?\d/i.test(trimmed);
  const midi = match ? readWith(scheme, match, middleDo) : isMistakable ? null : scientificOf(trimmed);
  if (midi === null || !(midi >= 0 && midi <= HIGHEST_MIDI)) {
    throw new PitchError(
      'BAD_NOTE_NAME',
      `“${text.slice(0, 40)}” is not a note name.`,
      `Write it like ${nameNote(60, { scheme, middleDo })} for middle C or ${nameNote(58, { scheme, middleDo })} for the B flat below it.`,
      { name: text.slice(0, 40), middle: nameNote(60, { scheme, middleDo }), flat: nameNote(58, { scheme, middleDo }) },
    );
  }
  return midi;
}

function scientificOf(text: string): number | null {
  const match = PATTERNS.scientific.exec(text);
  return match ? readWith('scientific', match, MIDDLE_OCTAVE) : null;
}
