import { DRAFT_LENGTHS, USUAL_RULES, type RuleTable } from '../limits/index.ts';
import { COOL_DOWN, MOST_OF_A_KIND } from './shape.data.ts';

/** How a warm-up of so many minutes is shaped. */
export interface RoutineShape {
  /** Exercises, at least and at most. */
  readonly least: number;
  readonly most: number;
  /** Of them new to the student, gentle first-level work not counted. */
  readonly mostNew: number;
  /** Of them without voice: body, breath, listening. */
  readonly mostSilent: number;
}

/** The last row of the table that is not for more minutes. */
export function shapeFor(minutes: number, rules: RuleTable = USUAL_RULES): RoutineShape {
  const length = DRAFT_LENGTHS.filter((from) => Number(from) <= minutes).at(-1) ?? DRAFT_LENGTHS[0];
  return { least: rules.draftLeast[length], most: rules.draftMost[length], ...MOST_OF_A_KIND[length] };
}

/**
 * Seconds the cool-down takes.
 *
 * @param mostLoad the heaviest work before it, 0–5
 * @example coolDownSeconds(10, 2) // 90
 */
export function coolDownSeconds(minutes: number, mostLoad: number, { draft }: RuleTable = USUAL_RULES): number {
  const isShort = minutes <= COOL_DOWN.shortMinutes;
  const usual = Math.max(isShort ? draft.coolDownShort : draft.coolDownLeast, minutes * 60 * draft.coolDownShare);
  if (isShort || mostLoad < COOL_DOWN.heavyLoad) return usual;
  return Math.max(usual, Math.min(draft.coolDownAfterHeavy, minutes * 60 * COOL_DOWN.mostShare));
}
