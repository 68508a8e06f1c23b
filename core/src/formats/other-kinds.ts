import { FormatError } from '../errors.ts';

/** First bytes of files that hold no tune, and what they are called. Source: the formats' own descriptions. */
const OTHER_KINDS: readonly (readonly [name: string, ...bytes: number[]])[] = [
  ['a picture (PNG)', 0x89, 0x50, 0x4e, 0x47],
  ['a picture (JPEG)', 0xff, 0xd8, 0xff],
  ['a picture (GIF)', 0x47, 0x49, 0x46, 0x38],
  ['a sound recording (WAV)', 0x52, 0x49, 0x46, 0x46],
  ['a sound recording (MP3)', 0x49, 0x44, 0x33],
  ['a sound recording (FLAC)', 0x66, 0x4c, 0x61, 0x43],
  ['a sound recording (Ogg)', 0x4f, 0x67, 0x67, 0x53],
  ['a page to print (PDF)', 0x25, 0x50, 0x44, 0x46],
];

/**
 * Refuses a file that is of another kind altogether, by name.
 *
 * @throws FormatError `WRONG_KIND`
 */
export function checkKind(bytes: Uint8Array): void {
  const other = OTHER_KINDS.find(([, ...signature]) => signature.every((byte, index) => bytes[index] === byte));
  if (!other) return;
  throw new FormatError(
    'WRONG_KIND',
    `This file is ${other[0]}; no notes are written in it.`,
    'Choose a score as MusicXML, a tune as ABC or MIDI, or exercises as JSON.',
  );
}
