import { Problem } from './problem.ts';

/**
 * Refuses what would grow a studio past what is sensible; the figures are house choices, ten times the largest studio known.
 *
 * @param what in the plural, as the sentence has it: students
 * @param more how many are to come
 * @throws Problem `TOO_MANY`
 */
export function demandRoom(what: string, now: number, most: number, remedy: string, more = 1): void {
  if (now + more <= most) return;
  throw new Problem(
    409,
    'TOO_MANY',
    more === 1
      ? `There are ${String(now)} ${what} already; ${String(most)} is the most there may be.`
      : `With ${String(more)} more there would be ${String(now + more)} ${what}; ${String(most)} is the most there may be.`,
    { remedy },
  );
}
