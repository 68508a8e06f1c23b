/** One option of a step as whole units of time over the step's shortest, and what it is worth. */
export interface Unit {
  readonly index: number;
  readonly units: number;
  readonly worth: number;
}

/** A stretch along the upper hull of a step's options: so many units more for so much more worth. */
interface Stretch {
  readonly row: number;
  readonly units: number;
  readonly worth: number;
}

/** The options that lie on the upper hull, from the shortest to the most worthwhile. */
function hullOf(row: readonly Unit[]): readonly Unit[] {
  const sorted = [...row].sort((a, b) => a.units - b.units || b.worth - a.worth);
  const hull: Unit[] = [];
  for (const point of sorted) {
    const top = hull.at(-1);
    if (top && point.worth <= top.worth) continue;
    for (;;) {
      const [b, a] = [hull.at(-1), hull.at(-2)];
      if (!a || !b) break;
      // b lies under the line from a to the point.
      if ((b.worth - a.worth) * (point.units - a.units) > (point.worth - a.worth) * (b.units - a.units)) break;
      hull.pop();
    }
    hull.push(point);
  }
  return hull;
}

function stretchesOf(hull: readonly Unit[], row: number): readonly Stretch[] {
  return hull.slice(1).map((point, index) => {
    const before = hull[index] ?? point;
    return { row, units: point.units - before.units, worth: point.worth - before.worth };
  });
}

const byEfficiency = (a: Stretch, b: Stretch): number => b.worth / b.units - a.worth / a.units;

/** What bounds the worth of a whole choice from below and of its first steps from above. */
export interface FitBounds {
  /** A worth that some choice reaches. */
  readonly reached: number;
  /** For the first n steps: no choice of theirs within so many units is worth more. */
  readonly mostOfFirst: readonly Float64Array[];
}

/** Fills in the most that sorted stretches can be worth within each number of units, fractions of a stretch allowed. */
function mostWithin(start: number, sorted: readonly Stretch[], most: number): Float64Array {
  const bound = new Float64Array(most + 1);
  let at = 0;
  let worth = start;
  bound[0] = worth;
  for (const stretch of sorted) {
    const slope = stretch.worth / stretch.units;
    const end = Math.min(most, at + stretch.units);
    for (let units = at + 1; units <= end; units += 1) bound[units] = worth + slope * (units - at);
    worth += slope * (end - at);
    at = end;
    if (at === most) return bound;
  }
  return bound.fill(worth, at + 1);
}

/**
 * Bounds for a choice of one option a step within so many units.
 *
 * @param rows options of each step, none of them dominated
 * Source: the linear relaxation of the multiple-choice knapsack; its greedy choice rounded down is a real one.
 */
export function fitBounds(rows: readonly (readonly Unit[])[], most: number): FitBounds {
  const hulls = rows.map(hullOf);
  const starts = hulls.map(([first]) => first?.worth ?? 0);
  const stretches = hulls.map(stretchesOf);
  const mostOfFirst: Float64Array[] = [];
  for (let count = 0; count < rows.length; count += 1) {
    const start = starts.slice(0, count).reduce((sum, worth) => sum + worth, 0);
    mostOfFirst.push(mostWithin(start, stretches.slice(0, count).flat().sort(byEfficiency), most));
  }
  let left = most;
  let reached = starts.reduce((sum, worth) => sum + worth, 0);
  const isOver = rows.map(() => false);
  for (const { row, units, worth } of stretches.flat().sort(byEfficiency)) {
    // A step whose next stretch did not fit has no later one either.
    if (isOver[row] || units > left) isOver[row] = true;
    else {
      left -= units;
      reached += worth;
    }
  }
  return { reached, mostOfFirst };
}
