/** One key in heavy register as it was sung: its day, its highest note, and its marks. */
export interface BeltKey {
  readonly day: string;
  readonly high: number;
  readonly marks: readonly string[];
}

export interface BeltEvidence {
  /** Days on which a key at the ceiling was marked easy and none was strained. */
  readonly easyDays: readonly string[];
  /** Days with strain, pain or tension at the ceiling. */
  readonly hardDays: readonly string[];
  /** Whether there is enough to raise it by the teacher's own word. */
  readonly isEnough: boolean;
}

/** House choice, as for every raise: two days with ease, and no strain after the first of them. */
const ENOUGH_DAYS = 2;
const HARD = ['strain', 'tension', 'pain', 'tickle', 'cough'];

/**
 * What the runs say of the belt ceiling: on which days it was sung easily, on which not.
 *
 * @param keys keys in heavy register, in any order; days as ISO days
 * @param ceiling the belt ceiling now, MIDI
 */
export function beltEvidence(keys: readonly BeltKey[], ceiling: number): BeltEvidence {
  const there = keys.filter(({ high }) => high >= ceiling);
  const daysOf = (isIt: (key: BeltKey) => boolean): readonly string[] =>
    [...new Set(there.filter(isIt).map(({ day }) => day))].sort();
  const hardDays = daysOf(({ marks }) => marks.some((mark) => HARD.includes(mark)));
  const easyDays = daysOf(({ day, marks }) => marks.includes('easy') && !hardDays.includes(day));
  const lastHard = hardDays.at(-1) ?? '';
  return { easyDays, hardDays, isEnough: easyDays.filter((day) => day > lastHard).length >= ENOUGH_DAYS };
}
