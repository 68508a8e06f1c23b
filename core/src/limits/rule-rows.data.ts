// Source: usual teaching reference, schools differ. What each figure of the rule table is, and between what it may be set.
import { BURDENS, conditionRow } from '../voice/index.ts';
import { DRAFT_LENGTHS, type RulePath } from './limits.types.ts';

export type RuleUnit =
  'semitones' | 'note' | 'hours' | 'years' | 'steps' | 'share' | 'of four' | 'seconds' | 'days' | 'exercises';

/** One row a teacher can change. */
export interface RuleRow {
  readonly path: RulePath;
  readonly unit: RuleUnit;
  readonly min: number;
  readonly max: number;
  /** Where it comes from, where that is not the source of the whole table. */
  readonly source?: 'house';
}

function row(path: RulePath, unit: RuleUnit, min: number, max: number): RuleRow {
  return { path, unit, min, max };
}

const DRAFT_ROWS: readonly RuleRow[] = [
  ...DRAFT_LENGTHS.map((minutes) => row(`draftLeast.${minutes}`, 'exercises', 1, 20)),
  ...DRAFT_LENGTHS.map((minutes) => row(`draftMost.${minutes}`, 'exercises', 2, 30)),
  row('draft.coolDownShare', 'share', 0.05, 0.4),
  row('draft.coolDownLeast', 'seconds', 20, 300),
  row('draft.coolDownShort', 'seconds', 10, 120),
  row('draft.coolDownAfterHeavy', 'seconds', 60, 480),
  row('draft.explainFirst', 'share', 0.05, 0.5),
  row('draft.explainShort', 'share', 0.05, 0.5),
  row('draft.explainLater', 'share', 0.02, 0.3),
  row('draft.comesBack', 'share', 0, 1),
  row('draft.another', 'share', 0.2, 1),
  row('draft.childMost', 'seconds', 30, 240),
].map((draft) => ({ ...draft, source: 'house' as const }));

export const RULE_ROWS: readonly RuleRow[] = [
  row('margin.usual', 'semitones', 0, 4),
  row('margin.most', 'semitones', 0, 4),
  row('margin.leastRange', 'semitones', 5, 24),
  row('style.classical', 'semitones', -6, 2),
  row('style.theatre', 'semitones', -6, 2),
  row('style.pop', 'semitones', -6, 2),
  row('style.jazz', 'semitones', -6, 2),
  row('style.folk', 'semitones', -6, 2),
  row('style.choral', 'semitones', -6, 2),
  row('style.heavy', 'semitones', -6, 2),
  row('style.gospel', 'semitones', -6, 2),
  row('style.rock', 'semitones', -6, 2),
  row('style.rnb', 'semitones', -6, 2),
  ...BURDENS.flatMap((name) => {
    const { lower } = conditionRow(name);
    return lower ? [row(`condition.${name}`, 'semitones', lower.least, lower.most)] : [];
  }),
  row('condition.mostDrop', 'semitones', 1, 12),
  row('condition.mostShare', 'share', 0.1, 0.5),
  row('performance.nothingNewHours', 'hours', 12, 168),
  row('performance.closeHours', 'hours', 6, 72),
  row('performance.closeDelta', 'semitones', -6, 0),
  row('home.narrower', 'semitones', 0, 5),
  row('home.narrowerWhenNew', 'semitones', 0, 7),
  row('gentle.ceiling', 'semitones', 0, 4),
  row('gentle.floor', 'semitones', -3, 0),
  row('occluded.mostResistanceTired', 'of four', 1, 4),
  row('modest.belowTop', 'semitones', 2, 12),
  row('modest.leastWidth', 'semitones', 3, 12),
  row('opening.sungSteps', 'steps', 0, 4),
  row('opening.occludedBelowTop', 'semitones', 0, 12),
  row('extension.overTop', 'semitones', 0, 3),
  row('extension.afterSungSteps', 'steps', 1, 6),
  row('belt.soprano', 'note', 57, 77),
  row('belt.mezzo-soprano', 'note', 57, 77),
  row('belt.contralto', 'note', 57, 77),
  row('belt.countertenor', 'note', 55, 74),
  row('belt.tenor', 'note', 55, 74),
  row('belt.baritone', 'note', 52, 70),
  row('belt.bass-baritone', 'note', 52, 70),
  row('belt.bass', 'note', 50, 68),
  row('grit.keepsOff', 'semitones', 2, 9),
  row('grit.everyDays', 'days', 1, 14),
  row('young.teenFrom', 'years', 11, 14),
  row('young.grownFrom', 'years', 18, 21),
  row('young.noBeltUnder', 'years', 12, 18),
  row('young.speechMixUnder', 'years', 13, 18),
  row('young.speechMixTop', 'note', 60, 69),
  row('young.mixTop', 'note', 60, 71),
  row('young.noGritUnder', 'years', 16, 21),
  row('changing.pastMiddle', 'semitones', 0, 3),
  row('breath.usual', 'seconds', 4, 15),
  row('breath.beginner', 'seconds', 3, 12),
  row('breath.child', 'seconds', 2, 9),
  row('breath.recoveringShare', 'share', 0.3, 1),
  row('setUp.whenNew', 'seconds', 0, 120),
  row('setUp.whenKnown', 'seconds', 0, 60),
  row('older.from', 'years', 50, 80),
  row('older.firstSpan', 'semitones', 4, 24),
  row('older.tempoShare', 'share', 0.6, 1),
  ...DRAFT_ROWS,
];
