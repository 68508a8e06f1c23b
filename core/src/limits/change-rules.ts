import { BURDENS } from '../voice/index.ts';
import { RuleError } from '../errors.ts';
import { DRAFT_LENGTHS, type FigureSource, type RulePath, type RuleTable } from './limits.types.ts';
import { RANGE_ROWS, RANGES_IN_ORDER } from './range-rows.ts';
import { RULE_ROWS, type RuleRow } from './rule-rows.data.ts';
import { USUAL_RULES } from './rules.data.ts';

/** Figures a teacher has set, by row; a row that is left out stays at the reference. */
export type RuleChanges = Readonly<Partial<Record<RulePath, number>>>;

const ROWS: ReadonlyMap<string, RuleRow> = new Map([...RULE_ROWS, ...RANGE_ROWS].map((row) => [row.path, row]));

/** Whether the rule table, reference ranges included, has a row of this address. */
export function isRulePath(path: string): path is RulePath {
  return ROWS.has(path);
}

/** The figure of one row. */
export function ruleFigure(rules: RuleTable, path: RulePath): number {
  const figure = path
    .split('.')
    .reduce<unknown>((at, name) => (isBranch(at) ? (at as Readonly<Record<string, unknown>>)[name] : undefined), rules);
  if (typeof figure !== 'number') throw unknownRow(path);
  return figure;
}

function isBranch(value: unknown): value is object {
  return typeof value === 'object' && value !== null;
}

/** A branch of the table with one figure set; what lies beside the path stays the same object. */
function withFigure<T extends object>(branch: T, [name = '', ...rest]: readonly string[], value: number): T {
  const copy: object = Array.isArray(branch) ? [...(branch as readonly unknown[])] : { ...branch };
  const below: unknown = Reflect.get(copy, name);
  Reflect.set(copy, name, isBranch(below) ? withFigure(below, rest, value) : value);
  return copy as T;
}

function unknownRow(path: string): RuleError {
  return new RuleError('UNKNOWN_ROW', path, `There is no row “${path}” in the rule table.`, 'Leave it out.');
}

function checkFigure(path: string, value: number): void {
  const row = ROWS.get(path);
  if (!row) throw unknownRow(path);
  const isWhole = row.unit === 'share' || Number.isInteger(value);
  if (Number.isFinite(value) && isWhole && value >= row.min && value <= row.max) return;
  throw new RuleError(
    'OUT_OF_BOUNDS',
    row.path,
    `The row “${row.path}” is ${String(value)}.`,
    `Give a ${row.unit === 'share' ? 'number' : 'whole number'} from ${String(row.min)} to ${String(row.max)}.`,
    { row: { word: row.path, of: 'rule-row' }, value: String(value), least: row.min, most: row.max, context: row.unit },
  );
}

/** Pairs of rows of which the first may not be above the second. */
const IN_ORDER: readonly (readonly [RulePath, RulePath])[] = [
  ['margin.usual', 'margin.most'],
  ...BURDENS.map((name): readonly [RulePath, RulePath] => [`condition.${name}`, 'condition.mostDrop']),
  ['performance.closeHours', 'performance.nothingNewHours'],
  ['home.narrower', 'home.narrowerWhenNew'],
  ['young.noBeltUnder', 'young.speechMixUnder'],
  ['young.speechMixUnder', 'young.grownFrom'],
  ['young.speechMixTop', 'young.mixTop'],
  ['young.noGritUnder', 'young.grownFrom'],
  ...DRAFT_LENGTHS.map((minutes) => [`draftLeast.${minutes}`, `draftMost.${minutes}`] as const),
  ...RANGES_IN_ORDER,
];

function checkOrder(rules: RuleTable): void {
  for (const [less, more] of IN_ORDER) {
    const [low, high] = [ruleFigure(rules, less), ruleFigure(rules, more)];
    if (low <= high) continue;
    throw new RuleError(
      'OUT_OF_ORDER',
      less,
      `The row “${less}” is ${String(low)}, above “${more}”, which is ${String(high)}.`,
      'Lower the first or raise the second.',
      { row: { word: less, of: 'rule-row' }, value: low, other: { word: more, of: 'rule-row' }, most: high },
    );
  }
}

/**
 * A rule table with some figures set by a teacher: the studio's, then one student's over them.
 *
 * @param source who set them
 * @throws RuleError `UNKNOWN_ROW`, `OUT_OF_BOUNDS`, `OUT_OF_ORDER`, with the row
 * @example changeRules({ 'condition.tired': 3 }, 'studio').condition.tired // 3
 */
export function changeRules(changes: RuleChanges, source: FigureSource, from: RuleTable = USUAL_RULES): RuleTable {
  const entries = Object.entries(changes);
  if (entries.length === 0) return from;
  const figures = entries.reduce((table, [path, value]) => {
    checkFigure(path, value);
    return withFigure(table, path.split('.'), value);
  }, from);
  const changed = { ...from.changed, ...Object.fromEntries(entries.map(([path]) => [path, source])) };
  const table: RuleTable = { ...figures, changed };
  checkOrder(table);
  return table;
}
