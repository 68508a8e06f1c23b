import { fitRoutine } from '../fit/index.ts';
import { layRoutine, type RoutineContext, type RoutineStep } from '../routine/index.ts';
import { sungAsBefore } from './fellows.ts';
import { firstToCome } from './run-queries.ts';
import { runStepOf } from './run-plan.ts';
import type { RunState, RunStep } from './run.types.ts';

/** What a refit takes from one step. Seconds, set-up included. */
export interface Cut {
  readonly stepId: string;
  readonly name: string;
  readonly from: number;
  /** Nought where the step is left out. */
  readonly to: number;
}

export interface Refitted {
  /** What is still to be sung, in order. */
  readonly steps: readonly RunStep[];
  readonly seconds: number;
  readonly cuts: readonly Cut[];
  /** Whether the time holds it; the least there is may still be too long. */
  readonly fits: boolean;
}

/** A routine that is fitted is laid for one voice; where each key is sung in turn it has to be laid the shorter. */
const MOST_TRIES = 4;

function secondsOf(steps: readonly RunStep[]): number {
  return steps.reduce((sum, step) => sum + step.seconds, 0);
}

function fittedInTurn(
  fitTo: (room: number) => readonly RunStep[],
  seconds: number,
  inBlocks: number,
): readonly RunStep[] {
  let room = seconds - inBlocks;
  let steps = fitTo(room);
  for (let tries = 1; tries < MOST_TRIES && secondsOf(steps) > seconds + 0.1; tries += 1) {
    room *= (seconds - inBlocks) / (secondsOf(steps) - inBlocks);
    steps = fitTo(room);
  }
  return steps;
}

/**
 * Fits what is left of a run to the time that is left, after a late start or a long talk: steps are made shorter before any
 * is left out, pinned ones stay as they are, and so do the only occluded step and the cool-down. Nothing gets longer.
 *
 * @param routine the steps the run was begun with
 * @param seconds left for all that has not begun
 */
export function refitRun(
  state: RunState,
  routine: readonly RoutineStep[],
  context: RoutineContext,
  seconds: number,
): Refitted {
  const toCome = state.steps.slice(firstToCome(state));
  const planned = secondsOf(toCome);
  if (planned <= seconds) return { steps: toCome, seconds: planned, cuts: [], fits: true };
  // A block that mends something is not of the routine, and stays.
  const blocks = toCome.filter(({ stepId }) => !routine.some(({ id }) => id === stepId));
  const inBlocks = secondsOf(blocks);
  const ids = new Set(toCome.map(({ stepId }) => stepId));
  // What is over stays in its place, so that the rest is laid as far on in the routine as it is.
  const whole = routine.map((step) => (ids.has(step.id) ? step : { ...step, locked: true }));
  const behind = layRoutine(whole, context)
    .steps.filter(({ id }) => !ids.has(id))
    .reduce((sum, step) => sum + step.seconds, 0);
  const fitTo = (room: number): readonly RunStep[] => {
    const fitted = fitRoutine(whole, behind + room, context, { mayDrop: true, neverLonger: true });
    const laid = layRoutine(fitted.steps, context).steps.filter(({ id, problem }) => ids.has(id) && !problem);
    return [
      ...blocks,
      ...laid.map((step) =>
        sungAsBefore(
          runStepOf(step),
          toCome.find(({ stepId }) => stepId === step.id),
        ),
      ),
    ];
  };
  const isInTurn = toCome.some((step) => step.isInTurn);
  const steps = isInTurn ? fittedInTurn(fitTo, seconds, inBlocks) : fitTo(seconds - inBlocks);
  const cuts = toCome.flatMap(({ stepId, name, seconds: from }): readonly Cut[] => {
    const to = steps.find((step) => step.stepId === stepId)?.seconds ?? 0;
    return to < from ? [{ stepId, name, from, to }] : [];
  });
  const total = secondsOf(steps);
  return { steps, seconds: total, cuts, fits: total <= seconds + 0.1 };
}
