import { STOP_MARKS } from '../past/index.ts';
import type { CorrectedKey, SungKey } from './run.schema.ts';

/**
 * A key as a teacher corrects it afterwards: whether it was sung, and its marks. Marks that stopped a step stay as they were
 * given: what is allowed since then rests on them.
 */
export function correctedKey(key: SungKey, { outcome, marks }: Omit<CorrectedKey, 'id'>): SungKey {
  const kept = key.marks.filter((mark) => STOP_MARKS.has(mark));
  return { ...key, outcome, marks: [...new Set([...marks.filter((mark) => !STOP_MARKS.has(mark)), ...kept])] };
}

/** Whether two keys say the same of what a correction can change. */
export function isSameKey(one: Omit<CorrectedKey, 'id'>, other: Omit<CorrectedKey, 'id'>): boolean {
  return (
    one.outcome === other.outcome &&
    one.marks.length === other.marks.length &&
    one.marks.every((mark) => other.marks.includes(mark))
  );
}
