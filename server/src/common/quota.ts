import { Problem } from './problem.ts';

/** What there may only be so much of: as a sentence has it in the plural, and what to do. */
const QUOTAS = {
  students: ['students', 'Remove some who are not coming any more.'],
  exercises: ['exercises of your own', 'Delete some that are not used any more.'],
  imported: ['exercises of your own', 'Take an earlier import back first.'],
  imports: ['imports of the last hour', 'Wait an hour, or put the files together.'],
  links: ['links', 'Take one back that is not used any more.'],
} as const;

/**
 * Refuses what would grow a studio past what is sensible; the figures are house choices, ten times the largest studio known.
 *
 * @param more how many are to come
 * @throws Problem `TOO_MANY`
 */
export function demandRoom(what: keyof typeof QUOTAS, now: number, most: number, more = 1): void {
  if (now + more <= most) return;
  const [words, remedy] = QUOTAS[what];
  throw new Problem(
    409,
    'TOO_MANY',
    more === 1
      ? `There are ${String(now)} ${words} already; ${String(most)} is the most there may be.`
      : `With ${String(more)} more there would be ${String(now + more)} ${words}; ${String(most)} is the most there may be.`,
    { remedy, values: { context: what, most, now: now + more } },
  );
}
