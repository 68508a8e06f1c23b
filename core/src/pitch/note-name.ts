import { nameNote, readNoteIn } from './note-schemes.ts';
import type { KeySpelling } from './spelling.ts';

/**
 * Reads a note in scientific naming; `#`/`♯`, `b`/`♭` and either case are taken.
 *
 * @param text such as `F#4`, `b♭3`
 * @returns MIDI number, 0–127
 * @throws PitchError `BAD_NOTE_NAME`
 * @example readNote('Bb3') // 58
 */
export function readNote(text: string): number {
  return readNoteIn(text, { scheme: 'scientific' });
}

/**
 * Writes one note, or both ends of an interval.
 *
 * @param interval closed, MIDI
 * @throws PitchError `BAD_MIDI`
 * @example writeInterval({ low: 60, high: 64 }) // 'C4 to E4'
 */
export function writeInterval({ low, high }: { readonly low: number; readonly high: number }): string {
  return low === high ? writeNote(low) : `${writeNote(low)} to ${writeNote(high)}`;
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
  return nameNote(midi, { scheme: 'scientific', spelling });
}
