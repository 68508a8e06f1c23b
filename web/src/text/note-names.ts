import { nameNote, readNoteIn, type NoteNaming } from '@soft-lark/core';

const SCIENTIFIC: NoteNaming = { scheme: 'scientific' };
let naming: NoteNaming = SCIENTIFIC;

/** How the studio names notes, for every screen; whoever changes it draws the screens again. */
export function setNoteNaming(chosen: NoteNaming | undefined): void {
  naming = chosen ?? SCIENTIFIC;
}

/** The name of a note as this studio writes it. */
export function writeNote(midi: number): string {
  return nameNote(midi, naming);
}

/**
 * The note of a name as this studio writes it.
 *
 * @throws PitchError `BAD_NOTE_NAME`
 */
export function readNote(text: string): number {
  return readNoteIn(text, naming);
}
