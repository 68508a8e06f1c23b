import { issueSentence } from '@soft-lark/core';
import type { UnreadableDto } from './unreadable.dto.ts';

/** A schema of the core, as far as it is asked here. */
interface Schema<T> {
  readonly safeParse: (
    stored: unknown,
  ) =>
    | { readonly success: true; readonly data: T }
    | { readonly success: false; readonly error: Parameters<typeof issueSentence>[0] };
}

/** A stored value as the core reads it today, fields that came later at their usual value; null where it cannot be read. */
export function readStored<T>(schema: Schema<T>, stored: unknown): T | null {
  const read = schema.safeParse(stored);
  return read.success ? read.data : null;
}

/** What is to be said of a row whose value cannot be read; null where it can. */
export function unreadable(
  row: Pick<UnreadableDto, 'id' | 'name'>,
  schema: Schema<unknown>,
  stored: unknown,
): UnreadableDto | null {
  const read = schema.safeParse(stored);
  return read.success ? null : { ...row, reason: issueSentence(read.error) };
}
