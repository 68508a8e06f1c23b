import { FormatError } from '../errors.ts';
import { LARGEST_FILE } from './melody.ts';

/**
 * Refuses an empty file and one too large to read.
 *
 * @throws FormatError `EMPTY_FILE`, `TOO_LARGE`
 */
export function checkSize(length: number): void {
  if (length === 0) throw new FormatError('EMPTY_FILE', 'The file is empty.', 'Choose another file.');
  if (length > LARGEST_FILE)
    throw new FormatError('TOO_LARGE', 'The file is larger than 10 MiB.', 'Cut it down to what you need.');
}

/**
 * Refuses what cannot be a text file of notes at all.
 *
 * @throws FormatError `EMPTY_FILE`, `TOO_LARGE`, `WRONG_ENCODING`
 */
export function checkText(text: string): void {
  checkSize(text.trim() === '' ? 0 : text.length);
  if (text.includes('\uFFFD') || text.includes('\0'))
    throw new FormatError(
      'WRONG_ENCODING',
      'The file is not written in UTF-8.',
      'Save it again as UTF-8, or export it again.',
    );
}
