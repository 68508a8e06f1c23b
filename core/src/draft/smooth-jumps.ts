import { outwardKeys } from '../fit/index.ts';
import {
  isSung,
  keysOf,
  layRoutine,
  leastKeys,
  type LaidStep,
  type RoutineContext,
  type StepSettings,
} from '../routine/index.ts';
import { withSettings, type Filled } from './drafting.ts';

/** Source: house reading of usual practice: from the last key of one step to the first of the next a fifth is far enough. Semitones. */
const FARTHEST = 7;

/** Two steps that follow each other, with nothing sung between. */
interface Pair {
  readonly before: LaidStep;
  readonly after: LaidStep;
}

function tonicsOf({ laid }: LaidStep): readonly number[] {
  return laid?.kind === 'pattern' ? keysOf(laid.ladder.rungs).map(({ tonic }) => tonic) : [];
}

/** Semitones between the last key of one step and the first of the next; nought where one of them glides. */
function jumpOf({ before, after }: Pair): number {
  const [from, to] = [tonicsOf(before).at(-1), tonicsOf(after)[0]];
  return from === undefined || to === undefined ? 0 : to - from;
}

function pairsOf(steps: readonly Filled[], context: RoutineContext): readonly Pair[] {
  const sung = layRoutine(steps, context).steps.filter(isSung);
  return sung.slice(1).flatMap((after, index) => {
    const before = sung[index];
    return before ? [{ before, after }] : [];
  });
}

const HOMEWARD = { rise: 'rise-return', fall: 'fall-return' } as const;

/** What can be set so that a jump goes: the step before comes home, or the one after starts nearer. */
function remediesFor(pair: Pair): readonly { readonly id: string; readonly settings: StepSettings }[] {
  const { before, after } = pair;
  const travel = before.laid?.kind === 'pattern' ? before.laid.input.travel : 'stay';
  const jump = jumpOf(pair);
  const nearer = (tonicsOf(after)[0] ?? 0) - Math.sign(jump) * (Math.abs(jump) - FARTHEST);
  return [
    ...(travel === 'rise' || travel === 'fall' ? [{ id: before.id, settings: { travel: HOMEWARD[travel] } }] : []),
    { id: after.id, settings: { start: nearer } },
  ];
}

/** Whether a step can be sung, and has the keys a step of its stage should. */
export function isGood({ laid, exercise, problem }: LaidStep): boolean {
  return !problem && (laid?.kind !== 'pattern' || outwardKeys({ laid }) >= leastKeys(exercise.stage));
}

function changed(steps: readonly Filled[], id: string, settings: StepSettings): readonly Filled[] {
  return steps.map((step) => (step.id === id ? withSettings(step, settings) : step));
}

/** One jump fewer, if one can be helped: nothing that stands before it is changed for the worse. */
function withOneFewer(steps: readonly Filled[], context: RoutineContext): readonly Filled[] | null {
  const pairs = pairsOf(steps, context);
  const locked = new Set(steps.filter((step) => step.locked).map(({ id }) => id));
  const farOf = (list: readonly Pair[]): number => list.filter((pair) => Math.abs(jumpOf(pair)) > FARTHEST).length;
  for (const pair of pairs.filter((one) => Math.abs(jumpOf(one)) > FARTHEST))
    for (const { id, settings } of remediesFor(pair)) {
      if (locked.has(id)) continue;
      const next = changed(steps, id, settings);
      const found = pairsOf(next, context);
      const step = found.flatMap(({ before, after }) => [before, after]).find((one) => one.id === id);
      if (found.length === pairs.length && farOf(found) < farOf(pairs) && step && isGood(step)) return next;
    }
  return null;
}

/** Steps of a draft without a key jump over a fifth where that can be had; a glide between two steps bridges any. */
export function smoothJumps(steps: readonly Filled[], context: RoutineContext): readonly Filled[] {
  const next = withOneFewer(steps, context);
  return next ? smoothJumps(next, context) : steps;
}
