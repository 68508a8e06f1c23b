import { FormatError } from '../errors.ts';

/** First bytes of files that hold no tune, and what they are called. Source: the formats' own descriptions. */
const WORDS = { picture: 'a picture', sound: 'a sound recording', page: 'a page to print' } as const;
const OTHER_KINDS: readonly (readonly [what: keyof typeof WORDS, format: string, ...bytes: number[]])[] = [
  ['picture', 'PNG', 0x89, 0x50, 0x4e, 0x47],
  ['picture', 'JPEG', 0xff, 0xd8, 0xff],
  ['picture', 'GIF', 0x47, 0x49, 0x46, 0x38],
  ['sound', 'WAV', 0x52, 0x49, 0x46, 0x46],
  ['sound', 'MP3', 0x49, 0x44, 0x33],
  ['sound', 'FLAC', 0x66, 0x4c, 0x61, 0x43],
  ['sound', 'Ogg', 0x4f, 0x67, 0x67, 0x53],
  ['page', 'PDF', 0x25, 0x50, 0x44, 0x46],
];

/**
 * Refuses a file that is of another kind altogether, by name.
 *
 * @throws FormatError `WRONG_KIND`
 */
export function checkKind(bytes: Uint8Array): void {
  const other = OTHER_KINDS.find(([, , ...signature]) => signature.every((byte, index) => bytes[index] === byte));
  if (!other) return;
  const [what, format] = other;
  throw new FormatError(
    'WRONG_KIND',
    `This file is ${WORDS[what]} (${format}); no notes are written in it.`,
    'Choose a score as MusicXML, a tune as ABC or MIDI, or exercises as JSON.',
    { context: what, format },
  );
}
