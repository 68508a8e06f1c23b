import { CONDITION_TABLE, type Burden, type Condition, type ConditionRow, type DayEffect } from './conditions.data.ts';

const ROWS: Readonly<Record<Condition, ConditionRow>> = CONDITION_TABLE;
const STRONGEST_FIRST = Object.keys(ROWS) as Condition[];

/** Every condition, the lightest first, as they are offered. */
export const CONDITIONS = [...STRONGEST_FIRST].reverse() as [Condition, ...Condition[]];

/** Conditions that weigh on a voice, the lightest first. */
export const BURDENS = CONDITIONS.filter((name): name is Burden => !ROWS[name].effects.includes('rested')) as [
  Burden,
  ...Burden[],
];

/** The row of a condition. */
export function conditionRow(name: Condition): ConditionRow {
  return ROWS[name];
}

/**
 * Whether a day is such, by any of its conditions.
 *
 * @example dayIs(['heavy', 'tired'], 'worn') // true
 */
export function dayIs(conditions: readonly Condition[], effect: DayEffect): boolean {
  return conditions.some((name) => ROWS[name].effects.includes(effect));
}

/** Whether nothing weighs on the voice, as far as anybody said. */
export function isRested(conditions: readonly Condition[]): boolean {
  return conditions.every((name) => ROWS[name].effects.includes('rested'));
}

/** What the strongest condition of a day that has it says of something; nothing where none does. */
export function strongest<K extends keyof ConditionRow>(
  conditions: readonly Condition[],
  what: K,
): ConditionRow[K] | undefined {
  const name = strongestName(conditions, what);
  return name && ROWS[name][what];
}

/** The strongest condition of a day that says something of this; nothing where none does. */
export function strongestName(conditions: readonly Condition[], what: keyof ConditionRow): Condition | undefined {
  return STRONGEST_FIRST.find((one) => conditions.includes(one) && ROWS[one][what] !== undefined);
}

/** Conditions as they are chosen, one more or one less: what is rested stands alone, the others combine. */
export function toggledCondition(conditions: readonly Condition[], pressed: Condition): readonly Condition[] {
  if (conditions.includes(pressed)) return conditions.filter((other) => other !== pressed);
  return isRested([pressed]) ? [pressed] : [...conditions.filter((other) => !isRested([other])), pressed];
}
