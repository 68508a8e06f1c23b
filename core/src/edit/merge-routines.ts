import type { RoutineStep } from '../routine/index.ts';

/** What two windows edit of one routine. */
export interface MergedFields {
  readonly name: string;
  readonly kind: string;
  readonly minutes: number;
  readonly steps: readonly RoutineStep[];
}

/** One thing both windows changed, each in its own way. */
export interface MergeConflict<T extends MergedFields> {
  readonly what: 'name' | 'kind' | 'minutes' | 'order' | 'step';
  /** The step, where it is one. */
  readonly stepId?: string;
  readonly mine: T;
  readonly theirs: T;
}

/** Two edits of one routine brought together, as far as they do not touch; `mine` stands where they do. */
export interface Merged<T extends MergedFields> {
  readonly routine: T;
  readonly conflicts: readonly MergeConflict<T>[];
}

const FIELDS = ['name', 'kind', 'minutes'] as const;

function sorted(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.entries(value)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([name, inner]) => [name, sorted(inner)]);
}

/** Whether two values hold the same, in whatever order their fields were written. */
export function isAlike(a: unknown, b: unknown): boolean {
  return JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}

/** Ids of the steps that two lists share, in the order of the first. */
function shared(list: readonly RoutineStep[], other: readonly RoutineStep[]): readonly string[] {
  return list.filter(({ id }) => other.some((step) => step.id === id)).map(({ id }) => id);
}

/** Whether a list of steps stands in another order than the one it came from. */
function isReordered(base: readonly RoutineStep[], now: readonly RoutineStep[]): boolean {
  return !isAlike(shared(base, now), shared(now, base));
}

/** Steps of the other window that are new, put after the step they follow there. */
function withNew(
  order: readonly string[],
  from: readonly RoutineStep[],
  base: readonly RoutineStep[],
): readonly string[] {
  return from.reduce<readonly string[]>((ids, { id }, index) => {
    if (ids.includes(id) || base.some((step) => step.id === id)) return ids;
    const after = ids.indexOf(from[index - 1]?.id ?? '') + 1;
    return [...ids.slice(0, after), id, ...ids.slice(after)];
  }, order);
}

/** The step as one side left it; gone where that side took it off. */
function mergedStep(
  base: RoutineStep | undefined,
  mine: RoutineStep | undefined,
  theirs: RoutineStep | undefined,
): { readonly step: RoutineStep | undefined; readonly clash: boolean } {
  if (isAlike(mine, theirs) || isAlike(theirs, base)) return { step: mine, clash: false };
  if (isAlike(mine, base)) return { step: theirs, clash: false };
  // A step that one side changed and the other took off stays: work is not lost.
  return { step: mine ?? theirs, clash: true };
}

/**
 * Brings two edits of one routine together: what only one window changed is taken, step by step; what both changed each in
 * its own way is a conflict, where `mine` is taken until somebody decides.
 *
 * @param base the routine both began with
 */
export function mergeRoutines<T extends MergedFields>(base: T, mine: T, theirs: T): Merged<T> {
  const conflicts: MergeConflict<T>[] = [];
  const merged = { ...mine };
  for (const field of FIELDS) {
    if (mine[field] === base[field]) Object.assign(merged, { [field]: theirs[field] });
    else if (theirs[field] !== base[field] && theirs[field] !== mine[field])
      conflicts.push({ what: field, mine, theirs });
  }
  const [iMoved, theyMoved] = [isReordered(base.steps, mine.steps), isReordered(base.steps, theirs.steps)];
  const isOrderClash =
    iMoved && theyMoved && !isAlike(shared(mine.steps, theirs.steps), shared(theirs.steps, mine.steps));
  if (isOrderClash) conflicts.push({ what: 'order', mine, theirs });
  const [lead, follow] = iMoved || !theyMoved ? [mine, theirs] : [theirs, mine];
  const gone = base.steps.filter(({ id }) => !lead.steps.some((step) => step.id === id));
  const order = withNew(
    lead.steps.map(({ id }) => id),
    follow.steps,
    base.steps,
  );
  const all = gone.reduce<readonly string[]>((ids, { id }) => {
    const after = base.steps.findIndex((step) => step.id === id) - 1;
    const at = ids.indexOf(base.steps[after]?.id ?? '') + 1;
    return [...ids.slice(0, at), id, ...ids.slice(at)];
  }, order);
  const find = (steps: readonly RoutineStep[], id: string): RoutineStep | undefined =>
    steps.find((step) => step.id === id);
  const steps = all.flatMap((id): readonly RoutineStep[] => {
    const { step, clash } = mergedStep(find(base.steps, id), find(mine.steps, id), find(theirs.steps, id));
    if (clash) conflicts.push({ what: 'step', stepId: id, mine, theirs });
    return step ? [step] : [];
  });
  return { routine: { ...merged, steps }, conflicts };
}

/** A merged routine with one conflict decided for the other window. */
export function takeTheirs<T extends MergedFields>(routine: T, { what, stepId, theirs }: MergeConflict<T>): T {
  switch (what) {
    case 'order': {
      const rank = (id: string): number => theirs.steps.findIndex((step) => step.id === id);
      const both = routine.steps.filter(({ id }) => rank(id) >= 0).sort((a, b) => rank(a.id) - rank(b.id));
      let next = 0;
      return { ...routine, steps: routine.steps.map((step) => (rank(step.id) < 0 ? step : (both[next++] ?? step))) };
    }
    case 'step': {
      const step = theirs.steps.find(({ id }) => id === stepId);
      return {
        ...routine,
        steps: routine.steps.flatMap((one) => (one.id === stepId ? (step ? [step] : []) : [one])),
      };
    }
    case 'name':
    case 'kind':
    case 'minutes':
      return { ...routine, [what]: theirs[what] };
  }
}
