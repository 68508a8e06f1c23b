import type { Exercise } from '../shelf/index.ts';

/** A routine is known by two things it is for; more is a list nobody remembers. */
const NAMED = 2;

/**
 * What a routine is for, weightiest first: what is wanted and served by it, or else what most of its work serves.
 *
 * @param wanted goals of the person, in the order they were written
 * @returns at most two goals, none where nothing sung serves any
 */
export function purposeOf(work: readonly Exercise[], wanted: readonly string[]): readonly string[] {
  const times = new Map<string, number>();
  for (const goal of work.flatMap(({ goals }) => goals)) times.set(goal, (times.get(goal) ?? 0) + 1);
  const served = wanted.filter((goal) => times.has(goal));
  const most = [...times].sort(([, a], [, b]) => b - a).map(([goal]) => goal);
  return (served.length > 0 ? served : most).slice(0, NAMED);
}
