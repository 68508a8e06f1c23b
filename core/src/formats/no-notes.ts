import { FormatError } from '../errors.ts';

/** What holds no note that could be sung. */
export function noNotes(): FormatError {
  return new FormatError('NO_NOTES', 'There is no note in it.', 'Choose a part with notes, or another file.');
}
