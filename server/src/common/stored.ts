import { faultLine, faultOf, firstFault, type FaultSentence } from '@soft-lark/core';
import { Problem } from './problem.ts';
import type { UnreadableDto } from './unreadable.dto.ts';

/** A schema of the core, as far as it is asked here. */
interface Schema<T> {
  readonly safeParse: (
    stored: unknown,
  ) =>
    | { readonly success: true; readonly data: T }
    | { readonly success: false; readonly error: Parameters<typeof firstFault>[0] };
}

/** How values of one kind are read back. */
export interface StoredKind<T> {
  /** What one is called in a sentence. */
  readonly what: string;
  readonly schema: Schema<T>;
  /** Steps that bring a value of an older form up to the next, the first for form 1; today’s form is one more. */
  readonly upgrades?: readonly ((stored: unknown) => unknown)[];
}

/** A value as it lies in the database, with the number of its form. */
export interface StoredValue {
  readonly schema: number;
  readonly value: unknown;
}

type Read<T> = { readonly data: T } | { readonly reason: FaultSentence };

function read<T>({ schema, upgrades = [] }: StoredKind<T>, stored: StoredValue): Read<T> {
  if (stored.schema > upgrades.length + 1) return { reason: faultOf('later-form') };
  const value = upgrades.slice(stored.schema - 1).reduce((older, upgrade) => upgrade(older), stored.value);
  const parsed = schema.safeParse(value);
  return parsed.success ? { data: parsed.data } : { reason: firstFault(parsed.error) };
}

/** A stored value as the core reads it today, fields that came later at their usual value; null where it cannot be read. */
export function readStored<T>(kind: StoredKind<T>, stored: StoredValue): T | null {
  const found = read(kind, stored);
  return 'data' in found ? found.data : null;
}

/** @throws Problem `UNREADABLE` where it cannot be read, with what is safe and what to do */
export function demandStored<T>(kind: StoredKind<T>, stored: StoredValue): T {
  const found = read(kind, stored);
  if ('data' in found) return found.data;
  throw new Problem(422, 'UNREADABLE', `This ${kind.what} cannot be read: ${faultLine(found.reason)}.`, {
    remedy: 'It is kept as it is. Start the newest version of Soft Lark, or delete it.',
  });
}

/** What is to be said of a row whose value cannot be read; null where it can. */
export function unreadable<T>(
  row: Pick<UnreadableDto, 'id' | 'name'>,
  kind: StoredKind<T>,
  stored: StoredValue,
): UnreadableDto | null {
  const found = read(kind, stored);
  return 'data' in found ? null : { id: row.id, name: row.name, reason: found.reason };
}
