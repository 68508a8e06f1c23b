/** What went wrong in the database, as far as it matters to whoever asked. */
export type DatabaseFault = 'away' | 'full' | 'slow' | 'crossed' | 'twice' | 'orphan';

/**
 * Source: PostgreSQL, Appendix A, error codes, and Node's names of broken sockets. The first that fits counts.
 * Away: no connection, shutting down, no place left for another, a stand-by that takes no writes.
 */
const FAULTS: readonly (readonly [DatabaseFault, RegExp])[] = [
  ['full', /^(53100|58030|ENOSPC)/],
  ['away', /^(08|57P|53|58|25006|ECONN|EPIPE|ENOENT|ETIMEDOUT|EAI_AGAIN)/],
  ['slow', /^(57014|55P03)/],
  ['crossed', /^40/],
  ['twice', /^23505/],
  ['orphan', /^23503/],
];
const AWAY_WORDS =
  /Connection terminated|timeout exceeded when trying to connect|connection timeout|Driver not Connected|Cannot use a pool after|Client has encountered a connection error/i;

export function field(error: unknown, name: string): unknown {
  return typeof error === 'object' && error !== null && name in error
    ? (error as Record<string, unknown>)[name]
    : undefined;
}

/** Which fault of the database an error tells of; null where it tells of none. */
export function databaseFault(error: unknown): DatabaseFault | null {
  const code = field(error, 'code') ?? field(field(error, 'driverError'), 'code');
  const known = typeof code === 'string' ? FAULTS.find(([, codes]) => codes.test(code))?.[0] : undefined;
  if (known) return known;
  return error instanceof Error && AWAY_WORDS.test(error.message) ? 'away' : null;
}

/** Whether a row was there already. */
export function isTwice(error: unknown): boolean {
  return databaseFault(error) === 'twice';
}

/** Source: PostgreSQL, classes 22 and 23: what was sent is no such value, or breaks a rule of the tables. */
export function isRefusedValue(error: unknown): boolean {
  const code = field(error, 'code') ?? field(field(error, 'driverError'), 'code');
  return typeof code === 'string' && /^2[23]/.test(code);
}
