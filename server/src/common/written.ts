import { isDeepStrictEqual } from 'node:util';
import { notFound, staleWrite } from './problem.ts';

/**
 * What is stored after a write on a version. An answer that was lost on the way is asked for again: where the content that
 * is stored is the one that was wanted, that is no conflict.
 *
 * @param isWritten whether the version still stood; what was written is not held against what was wanted
 * @throws Problem `NOT_FOUND` where nothing is stored, `STALE_WRITE` with what is stored now
 */
export function written<T extends object>(
  what: string,
  isWritten: boolean,
  current: T | null,
  wanted: unknown,
  contentOf: (current: T) => unknown,
): T {
  if (!current) throw notFound(what);
  if (!isWritten && !isDeepStrictEqual(contentOf(current), wanted)) throw staleWrite(what, current);
  return current;
}
