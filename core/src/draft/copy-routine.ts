import { problemStatement, type ProblemCode } from '../day/index.ts';
import type { Statement } from '../statement.ts';
import { relativeThatFits } from '../shelf/index.ts';
import {
  isSingable,
  isSung,
  layRoutine,
  layStep,
  type LaidStep,
  type RoutineContext,
  type RoutineStep,
  type StepSettings,
} from '../routine/index.ts';

/** What became of one step when a routine was copied to another voice. */
export interface CopiedStep {
  readonly exerciseId: string;
  readonly became: 'same' | 'placed-anew' | 'swapped' | 'left-out';
  /** What it spans for the first singer and for the second; nothing where it has no pitch or is left out. */
  readonly from: { readonly low: number; readonly high: number } | null;
  readonly to: { readonly low: number; readonly high: number } | null;
  /** The exercise that takes its place. */
  readonly insteadId?: string;
  /** Why it could not stay as it is. */
  readonly reason?: Statement<`problem.${ProblemCode}` | 'not.gone'>;
}

export interface CopiedRoutine {
  readonly steps: readonly RoutineStep[];
  readonly changes: readonly CopiedStep[];
}

/** What was set for one voice and one teacher’s eyes: it does not go with a copy. */
const OF_ONE_VOICE: ReadonlySet<string> = new Set(['start', 'floor', 'ceiling', 'struck', 'added', 'narrowTo', 'note']);

/** Settings that mean the same for every voice. */
export function forAnyVoice(settings: StepSettings): StepSettings {
  return Object.fromEntries(Object.entries(settings).filter(([name]) => !OF_ONE_VOICE.has(name)));
}

function spanOfLaid(step: LaidStep | undefined): CopiedStep['from'] {
  return step && step.lowest !== null && step.highest !== null ? { low: step.lowest, high: step.highest } : null;
}

/**
 * A routine placed anew for another student: starts, limits and keys set by hand are left behind with the first voice, what
 * the second cannot sing today gives way to its nearest relative, or is left out with the reason.
 *
 * @param newId gives each step of the copy its id
 * @returns the steps of the copy, and what became of every step of the first, in order
 */
export function copyRoutine(
  steps: readonly RoutineStep[],
  from: RoutineContext,
  to: RoutineContext,
  newId: () => string,
): CopiedRoutine {
  const first = layRoutine(steps, from).steps;
  const copied: RoutineStep[] = [];
  const changes: CopiedStep[] = [];
  let sungSteps = 0;
  for (const step of steps) {
    const exercise = to.exercises.get(step.exerciseId);
    const before = spanOfLaid(first.find(({ id }) => id === step.id));
    const problem = exercise && layStep({ ...step, settings: {} }, exercise, to, sungSteps, 0).problem;
    const fits = exercise !== undefined && !problem;
    const instead =
      exercise && problem
        ? relativeThatFits(
            exercise,
            to.exercises,
            (one) => !one.optIn && one.load <= exercise.load && isSingable(one, to, sungSteps),
          )
        : null;
    const taken = fits ? exercise : instead;
    const said = exercise ? problem && problemStatement(problem) : { code: 'not.gone' as const };
    const reason = said === undefined ? {} : { reason: said };
    if (!taken) {
      changes.push({ exerciseId: step.exerciseId, became: 'left-out', from: before, to: null, ...reason });
      continue;
    }
    const settings = fits ? forAnyVoice(step.settings) : {};
    const copy = {
      id: newId(),
      exerciseId: taken.id,
      settings,
      ...(step.block !== undefined && { block: step.block }),
    };
    copied.push(copy);
    const laid = layStep(copy, taken, to, sungSteps, 0);
    const after = spanOfLaid(laid);
    if (isSung(laid)) sungSteps += 1;
    const isSame = before?.low === after?.low && before?.high === after?.high;
    changes.push({
      exerciseId: step.exerciseId,
      became: fits ? (isSame ? 'same' : 'placed-anew') : 'swapped',
      from: before,
      to: after,
      ...(!fits && { insteadId: taken.id }),
      ...reason,
    });
  }
  return { steps: copied, changes };
}
