/**
 * @typedef {{ name: string, value: number, unit: string, target: number, isCeiling: boolean }} Figure
 */

/** Prints figures with their targets. @returns {boolean} whether all are met */
export function printTable(figures) {
  const rows = figures.map(({ name, value, unit, target, isCeiling }) => ({
    figure: name,
    median: `${value < 1 ? value.toFixed(4) : value.toFixed(value < 100 ? 2 : 0)} ${unit}`,
    target: `${isCeiling ? 'under' : 'over'} ${target} ${unit}`,
    met: isCeiling ? value < target : value > target,
  }));
  console.table(rows);
  return rows.every(({ met }) => met);
}
