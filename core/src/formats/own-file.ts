import type { z } from 'zod';
import { FormatError } from '../errors.ts';
import { checkText } from './check-text.ts';

/** What our own files hold, each with the place it is exported from. */
const EXPORTED_FROM = {
  exercises: 'a shelf',
  'a routine': 'a routine',
} as const;

function json(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (cause) {
    throw new FormatError(
      'BROKEN_FILE',
      `The file is not whole JSON: ${cause instanceof Error ? cause.message : 'unreadable'}`,
      'Export it again; it may have been cut off.',
      { context: 'json' },
    );
  }
}

/**
 * Opens a file that an export of ours wrote.
 *
 * @param envelope shape of the file, its kind and version among it
 * @param newest the latest version that can be read
 * @throws FormatError `EMPTY_FILE`, `TOO_LARGE`, `WRONG_ENCODING`, `BROKEN_FILE`, `WRONG_KIND`, `NEWER_FILE`
 */
export function openOwnFile<File extends { readonly version: number }>(
  text: string,
  envelope: z.ZodType<File>,
  newest: number,
  holds: keyof typeof EXPORTED_FROM,
): File {
  checkText(text);
  const result = envelope.safeParse(json(text));
  if (!result.success)
    throw new FormatError(
      'WRONG_KIND',
      `This is no file of ${holds}.`,
      `Choose a file that was exported from ${EXPORTED_FROM[holds]}.`,
      { context: holds === 'exercises' ? 'exercises' : 'routine' },
    );
  const { version } = result.data;
  if (version > newest)
    throw new FormatError(
      'NEWER_FILE',
      `The file was written by a newer version (${String(version)}; this one reads up to ${String(newest)}).`,
      'Bring Soft Lark up to date, then import it again.',
      { version: String(version), newest: String(newest) },
    );
  return result.data;
}
