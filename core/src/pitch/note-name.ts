import { Note } from 'tonal';
import { PitchError } from '../errors.ts';
import { keyName, type KeySpelling } from './spelling.ts';

const SCIENTIFIC = /^([a-gA-G])(#{1,2}|♯{1,2}|b{1,2}|♭{1,2}|♮)?(-?\d{1,2})$/;
const LOWEST_MIDI = 0;
const HIGHEST_MIDI = 127;

/**
 * Reads a note in scientific naming; `#`/`♯`, `b`/`♭` and either case are taken.
 *
 * @param text such as `F#4`, `b♭3`
 * @returns MIDI number, 0–127
 * @throws PitchError `BAD_NOTE_NAME`
 * @example readNote('Bb3') // 58
 */
export function readNote(text: string): number {
  const match = SCIENTIFIC.exec(text.trim());
  const [, letter = '', accidental = '', octave = ''] = match ?? [];
  const plain = accidental.replaceAll('♯', '#').replaceAll('♭', 'b').replace('♮', '');
  const midi = match ? Note.midi(letter.toUpperCase() + plain + octave) : null;
  if (typeof midi !== 'number' || midi < LOWEST_MIDI || midi > HIGHEST_MIDI) {
    throw new PitchError(
      'BAD_NOTE_NAME',
      `“${text.slice(0, 40)}” is not a note name.`,
      'Write a letter, an accidental if there is one, and the octave: C4 is middle C, B♭3 the B flat below it.',
    );
  }
  return midi;
}

/**
 * Writes a pitch in scientific naming, spelled as a ladder key.
 *
 * @param midi whole MIDI number
 * @param spelling which black keys are named sharp or flat
 * @throws PitchError `BAD_MIDI`
 * @example writeNote(70) // 'B♭4'
 */
export function writeNote(midi: number, spelling: KeySpelling = 'usual'): string {
  if (!Number.isInteger(midi)) {
    throw new PitchError('BAD_MIDI', `${String(midi)} is not a whole pitch.`, 'Round it to a semitone first.');
  }
  return keyName(midi, spelling) + String(Math.floor(midi / 12) - 1);
}
