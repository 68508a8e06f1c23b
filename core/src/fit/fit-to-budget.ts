import { FitError } from '../errors.ts';
import { fitBounds, type Unit } from './fit-bounds.ts';

/** One way to do a step: so long, worth so much. Seconds have the set-up in them. */
interface FitOption {
  readonly seconds: number;
  readonly worth: number;
}

/** A step with its options; `chosen` locks it to one, `keep` keeps it from ever being dropped. */
export interface FitStep {
  readonly id: string;
  readonly chosen?: number;
  readonly keep?: boolean;
  readonly options: readonly FitOption[];
}

/** What was chosen, by step. `seconds` and `worth` are true sums; `overBy` and `dropFirst` where even the least is too long. */
export interface Fit {
  readonly feasible: boolean;
  readonly chosen: Readonly<Record<string, number>>;
  readonly seconds: number;
  readonly worth: number;
  readonly overBy?: number;
  readonly dropFirst?: readonly string[];
}

/** Worths nearer than this are equal. */
const EQUAL = 1e-9;
const TENTHS = 10;

/** A step's options in tenths of a second; a locked one has one. */
interface Row {
  readonly step: FitStep;
  readonly indexes: readonly number[];
  readonly least: number;
}

function tenthsOf({ seconds }: FitOption): number {
  return Math.ceil(seconds * TENTHS - EQUAL);
}

function check(steps: readonly FitStep[], budgetSeconds: number): void {
  if (!(budgetSeconds >= 0) || !Number.isFinite(budgetSeconds))
    throw new FitError('BAD_BUDGET', `${String(budgetSeconds)} seconds are no budget.`, 'Give nought or more.');
  for (const { id, options, chosen } of steps) {
    if (options.length === 0) throw new FitError('NO_OPTION', `The step “${id}” has no option.`, 'Give it one.');
    const bad = options.find(
      ({ seconds, worth }) => !(seconds >= 0) || !Number.isFinite(seconds) || !Number.isFinite(worth),
    );
    if (bad)
      throw new FitError(
        'BAD_OPTION',
        `The step “${id}” has an option of ${String(bad.seconds)} s.`,
        'Give nought or more.',
      );
    if (chosen !== undefined && options[chosen] === undefined)
      throw new FitError('BAD_CHOICE', `The step “${id}” has no option ${String(chosen)}.`, 'Choose one it has.');
  }
}

function rowOf(step: FitStep): Row {
  const indexes = step.chosen === undefined ? step.options.map((_, index) => index) : [step.chosen];
  return { step, indexes, least: Math.min(...indexes.map((index) => tenthsOf(at(step, index)))) };
}

function at({ options }: FitStep, index: number): FitOption {
  const option = options[index];
  if (!option) throw new FitError('BAD_CHOICE', `There is no option ${String(index)}.`, 'Choose one there is.');
  return option;
}

function outcome(rows: readonly Row[], picked: readonly number[]): Omit<Fit, 'feasible'> {
  const options = rows.map(({ step }, index) => at(step, picked[index] ?? 0));
  return {
    chosen: Object.fromEntries(rows.map(({ step }, index) => [step.id, picked[index] ?? 0])),
    seconds: options.reduce((sum, { seconds }) => sum + seconds, 0),
    worth: options.reduce((sum, { worth }) => sum + worth, 0),
  };
}

/** The least of every step, by how much it is too long, and what to drop first: the least worth for its time. */
function tooLong(rows: readonly Row[], over: number): Fit {
  const picked = rows.map(
    ({ step, indexes, least }) => indexes.find((index) => tenthsOf(at(step, index)) === least) ?? 0,
  );
  const droppable = rows
    .map(({ step, least }, index) => ({
      id: step.id,
      keep: step.keep,
      least,
      worth: at(step, picked[index] ?? 0).worth,
    }))
    .filter(({ keep, least }) => !keep && least > 0)
    .sort((a, b) => a.worth / a.least - b.worth / b.least);
  const dropFirst: string[] = [];
  let left = over;
  for (const { id, least } of droppable) {
    if (left <= 0) break;
    dropFirst.push(id);
    left -= least;
  }
  return { feasible: false, ...outcome(rows, picked), overBy: over / TENTHS, dropFirst };
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}

function unitsOf(
  rows: readonly Row[],
  spare: number,
): { readonly rows: readonly (readonly Unit[])[]; readonly most: number } {
  const extra = rows.map(({ step, indexes, least }) =>
    indexes.map((index) => ({ index, units: tenthsOf(at(step, index)) - least, worth: at(step, index).worth })),
  );
  const length = extra.flat().reduce((common, { units }) => greatestCommonDivisor(common, units), 0) || 1;
  const longest = extra.reduce((sum, row) => sum + Math.max(...row.map(({ units }) => units)), 0);
  return {
    rows: extra.map((row) => row.map((unit) => ({ ...unit, units: unit.units / length }))),
    most: Math.floor(Math.min(spare, longest) / length),
  };
}

/** Options without those that take as long as another or longer and are worth less: no best choice has one. */
function worthwhile(row: readonly Unit[]): readonly Unit[] {
  const sorted = [...row].sort((a, b) => a.units - b.units || b.worth - a.worth);
  let best = -Infinity;
  const kept = sorted.filter(({ worth }) => {
    if (worth < best - EQUAL) return false;
    best = Math.max(best, worth);
    return true;
  });
  return kept.sort((a, b) => a.index - b.index);
}

/** Far more than rounding can add up to, far less than a worth. */
const SLACK = 1e-7;

/**
 * Greatest worth of the steps from one on, for each exact number of units; −∞ where it cannot be had, or where not even
 * the best of the steps before could make a best choice of it.
 */
function bestFrom(rows: readonly (readonly Unit[])[], most: number): readonly Float64Array[] {
  const { reached, mostOfFirst } = fitBounds(rows, most);
  let after = new Float64Array(most + 1).fill(-Infinity);
  after[0] = 0;
  let live: number[] = [0];
  const tables = [after];
  for (let row = rows.length - 1; row >= 0; row -= 1) {
    const table = new Float64Array(most + 1).fill(-Infinity);
    const before = mostOfFirst[row];
    const met: number[] = [];
    for (const { units, worth } of rows[row] ?? [])
      for (const state of live) {
        const total = state + units;
        if (total > most) continue;
        // Number() only tells the compiler that the index lies inside; it costs nothing.
        const sum = worth + Number(after[state]);
        if (sum + Number(before?.[most - total]) < reached - SLACK) continue;
        if (table[total] === -Infinity) met.push(total);
        if (sum > Number(table[total])) table[total] = sum;
      }
    tables.unshift(table);
    after = table;
    live = met;
  }
  return tables;
}

/**
 * Picks one option a step so that the total is within the budget and the worth is greatest; of equals the fullest total,
 * then the lowest indexes. Exact: dynamic programming over tenths of a second, options rounded up, the budget down.
 *
 * @param steps in order, each with one option at least; a locked step has `chosen`
 * @param budgetSeconds nought or more
 * @throws FitError `NO_OPTION`, `BAD_OPTION`, `BAD_CHOICE`, `BAD_BUDGET`
 * @example fitToBudget([{ id: 'a', options: [{ seconds: 10, worth: 1 }, { seconds: 20, worth: 3 }] }], 15).chosen // { a: 0 }
 * Source: multiple-choice knapsack, solved from the last step to the first so that the lowest indexes win.
 */
export function fitToBudget(steps: readonly FitStep[], budgetSeconds: number): Fit {
  check(steps, budgetSeconds);
  const rows = steps.map(rowOf);
  const spare = Math.floor(budgetSeconds * TENTHS + EQUAL) - rows.reduce((sum, { least }) => sum + least, 0);
  if (spare < 0) return tooLong(rows, -spare);
  const { rows: all, most } = unitsOf(rows, spare);
  const units = all.map(worthwhile);
  const tables = bestFrom(units, most);
  const totals = tables[0] ?? new Float64Array(1);
  const best = totals.reduce((greatest, worth) => Math.max(greatest, worth), -Infinity);
  let left = totals.reduce((fullest, worth, total) => (worth >= best - EQUAL ? total : fullest), 0);
  const picked = units.map((row, index) => {
    const wanted = tables[index]?.[left] ?? 0;
    const option = row.find(({ units: taken, worth }) => {
      const rest = taken <= left ? tables[index + 1]?.[left - taken] : undefined;
      return rest !== undefined && worth + rest >= wanted - EQUAL;
    });
    left -= option?.units ?? 0;
    return option?.index ?? 0;
  });
  return { feasible: true, ...outcome(rows, picked) };
}
