/** Who sounds in a key, from most help to least: the guide alone, both, the guide's cue only, the student alone. */
export const HELPS = ['shown', 'together', 'cue-only', 'alone'] as const;
export type Help = (typeof HELPS)[number];

/** Who sounds in every key of a step: one way throughout, or each key shown and then sung. */
export const HELP_CHOICES = ['shown-then-sung', 'together', 'cue-only', 'alone'] as const;
export type HelpChoice = (typeof HELP_CHOICES)[number];

/**
 * Who sounds in each key of a step. New: one key shown, two together, then the cue only, the last key alone. Known: the
 * cue only, the last key alone.
 *
 * @param keys number of keys, 0 or more
 * @example helpPlan(5, true) // ['shown', 'together', 'together', 'cue-only', 'alone']
 * Source: house choice from common practice.
 */
export function helpPlan(keys: number, isNew: boolean): readonly Help[] {
  return Array.from({ length: keys }, (_, index): Help => {
    if (isNew && index === 0) return 'shown';
    if (index === keys - 1) return 'alone';
    return isNew && index <= 2 ? 'together' : 'cue-only';
  });
}
