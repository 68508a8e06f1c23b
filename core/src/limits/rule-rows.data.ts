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
  readonly label: string;
  /** Where it comes from, where that is not the source of the whole table. */
  readonly source?: string;
}

function row(path: RulePath, unit: RuleUnit, min: number, max: number, label: string): RuleRow {
  return { path, unit, min, max, label };
}

const HOUSE = 'house reading of usual practice';

const DRAFT_ROWS: readonly RuleRow[] = [
  ...DRAFT_LENGTHS.map((minutes) =>
    row(`draftLeast.${minutes}`, 'exercises', 1, 20, `Exercises at least, from ${minutes} minutes on`),
  ),
  ...DRAFT_LENGTHS.map((minutes) =>
    row(`draftMost.${minutes}`, 'exercises', 2, 30, `Exercises at most, from ${minutes} minutes on`),
  ),
  row('draft.coolDownShare', 'share', 0.05, 0.4, 'Cool-down: share of the minutes'),
  row('draft.coolDownLeast', 'seconds', 20, 300, 'Cool-down: at least'),
  row('draft.coolDownShort', 'seconds', 10, 120, 'Cool-down in five minutes and less: at least'),
  row('draft.coolDownAfterHeavy', 'seconds', 60, 480, 'Cool-down after heavy work'),
  row('draft.explainFirst', 'share', 0.05, 0.5, 'First lesson: share of the minutes for explaining'),
  row('draft.explainShort', 'share', 0.05, 0.5, 'First lesson of five minutes and less: the same'),
  row('draft.explainLater', 'share', 0.02, 0.3, 'Later: share of the minutes for explaining'),
  row('draft.comesBack', 'share', 0, 1, 'Share of the exercises that comes back next time'),
  row('draft.another', 'share', 0.2, 1, 'Another draft: share of the exercises that is new'),
  row('draft.childMost', 'seconds', 30, 240, 'A child: no exercise longer than'),
].map((draft) => ({ ...draft, source: HOUSE }));

export const RULE_ROWS: readonly RuleRow[] = [
  row('margin.usual', 'semitones', 0, 4, 'Ordinary work stays inside both ends by'),
  row('margin.most', 'semitones', 0, 4, 'Largest margin of a voice file'),
  row('margin.leastRange', 'semitones', 5, 24, 'No margin where the comfortable range is under'),
  row('style.classical', 'semitones', -6, 2, 'Classical: ceiling'),
  row('style.theatre', 'semitones', -6, 2, 'Theatre: ceiling'),
  row('style.pop', 'semitones', -6, 2, 'Pop: ceiling'),
  row('style.jazz', 'semitones', -6, 2, 'Jazz: ceiling'),
  row('style.folk', 'semitones', -6, 2, 'Folk: ceiling'),
  row('style.choral', 'semitones', -6, 2, 'Choral: ceiling'),
  row('style.heavy', 'semitones', -6, 2, 'Metal: ceiling'),
  row('style.gospel', 'semitones', -6, 2, 'Gospel: ceiling'),
  row('style.rock', 'semitones', -6, 2, 'Rock: ceiling'),
  row('style.rnb', 'semitones', -6, 2, 'R&B: ceiling'),
  ...BURDENS.flatMap((name) => {
    const { lower } = conditionRow(name);
    return lower ? [row(`condition.${name}`, 'semitones', lower.least, lower.most, lower.label)] : [];
  }),
  row('condition.mostDrop', 'semitones', 1, 12, 'Several conditions together at most'),
  row('condition.mostShare', 'share', 0.1, 0.5, 'and at most this share of the comfortable range'),
  row('performance.nothingNewHours', 'hours', 12, 168, 'Nothing new and no stretching within'),
  row('performance.closeHours', 'hours', 6, 72, 'Performance close within'),
  row('performance.closeDelta', 'semitones', -6, 0, 'Performance close: ceiling'),
  row('home.narrower', 'semitones', 0, 5, 'At home: narrower at both ends by'),
  row('home.narrowerWhenNew', 'semitones', 0, 7, 'At home and new: narrower at both ends by'),
  row('gentle.ceiling', 'semitones', 0, 4, 'Occluded, glides, light: ceiling up to'),
  row('gentle.floor', 'semitones', -3, 0, 'Occluded, glides, light: floor'),
  row('occluded.mostResistanceTired', 'of four', 1, 4, 'Tired today: resistance of occluded work at most'),
  row(
    'modest.belowTop',
    'semitones',
    2,
    12,
    'Release, onset, resonance and the first steps: below the comfortable top by',
  ),
  row('modest.leastWidth', 'semitones', 3, 12, 'but never narrower than'),
  row('opening.sungSteps', 'steps', 0, 4, 'First sung steps that stay modest'),
  row('opening.occludedBelowTop', 'semitones', 0, 12, 'Occluded ladders in them: below the comfortable top by'),
  row('extension.overTop', 'semitones', 0, 3, 'Work that extends the range: past the comfortable top by'),
  row('extension.afterSungSteps', 'steps', 1, 6, 'and only after so many sung steps'),
  row('belt.soprano', 'note', 57, 77, 'Belt ceiling, soprano'),
  row('belt.mezzo-soprano', 'note', 57, 77, 'Belt ceiling, mezzo'),
  row('belt.contralto', 'note', 57, 77, 'Belt ceiling, contralto'),
  row('belt.countertenor', 'note', 55, 74, 'Belt ceiling, countertenor'),
  row('belt.tenor', 'note', 55, 74, 'Belt ceiling, tenor'),
  row('belt.baritone', 'note', 52, 70, 'Belt ceiling, baritone'),
  row('belt.bass-baritone', 'note', 52, 70, 'Belt ceiling, bass-baritone'),
  row('belt.bass', 'note', 50, 68, 'Belt ceiling, bass'),
  row('grit.keepsOff', 'semitones', 2, 9, 'Grit keeps off both ends by'),
  row('grit.everyDays', 'days', 1, 14, 'Grit: days until it comes again (2: every other day)'),
  row('young.teenFrom', 'years', 11, 14, 'A child’s caps end and a teenager’s begin at'),
  row('young.grownFrom', 'years', 18, 21, 'Grown up from'),
  row('young.noBeltUnder', 'years', 12, 18, 'No belt under'),
  row('young.speechMixUnder', 'years', 13, 18, 'Speech-like mix only, under'),
  row('young.speechMixTop', 'note', 60, 69, 'Speech-like mix up to'),
  row('young.mixTop', 'note', 60, 71, 'Teenager’s mix up to'),
  row('young.noGritUnder', 'years', 16, 21, 'No grit under'),
  row('changing.pastMiddle', 'semitones', 0, 3, 'Changing voice: past the middle of the stage by'),
  row('breath.usual', 'seconds', 4, 15, 'One breath: longest stretch without a rest, usual (trained: 12)'),
  row('breath.beginner', 'seconds', 3, 12, 'One breath: a first lesson, and an older voice'),
  row('breath.child', 'seconds', 2, 9, 'One breath: a child'),
  row('breath.recoveringShare', 'share', 0.3, 1, 'One breath: share of it while recovering'),
  row('setUp.whenNew', 'seconds', 0, 120, 'Explaining an exercise that is new to the student'),
  row('setUp.whenKnown', 'seconds', 0, 60, 'Recalling one that is known'),
  row('older.from', 'years', 50, 80, 'Older voice from'),
  row('older.firstSpan', 'semitones', 4, 24, 'Older voice: first sung steps no wider than'),
  row('older.tempoShare', 'share', 0.6, 1, 'Older voice: share of the usual tempo'),
  ...DRAFT_ROWS,
];
