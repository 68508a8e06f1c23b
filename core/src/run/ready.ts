import { isForVoice, isSungWork, obstacleTo, type Exercise } from '../shelf/index.ts';
import { optionsOf } from '../fit/index.ts';
import { layStep, type RoutineContext, type RoutineStep } from '../routine/index.ts';
import { REPAIR_LOAD, REPAIR_SECONDS } from './ready.data.ts';
import { runStepOf } from './run-plan.ts';
import type { RunState, RunStep } from './run.types.ts';

/** What a no before the cool-down leads to: one short block, or why there is none. */
export type Repair =
  | { readonly goal: string; readonly step: RunStep }
  | { readonly goal: string; readonly why: 'no-time' | 'nothing-fits' };

/**
 * Whether it is time to ask: something was sung, the cool-down is next, and nobody was asked yet.
 *
 * @returns `false` in a run without a cool-down, and in one that is nothing else
 */
export function isReadyDue(state: RunState, exercises: ReadonlyMap<string, Exercise>): boolean {
  const isCool = ({ exerciseId }: RunStep): boolean => exercises.get(exerciseId)?.stage === 'cool';
  const next = state.steps[state.stepIndex];
  return (
    state.phase === 'singing' &&
    !state.begun &&
    !state.isReadyAsked &&
    state.sung.length > 0 &&
    next !== undefined &&
    isCool(next) &&
    !state.steps.slice(0, state.stepIndex).some(isCool)
  );
}

/** The longest way to do an exercise within so many seconds, as a step; `null` where the shortest is too long. */
function blockOf(exercise: Exercise, context: RoutineContext, sungSteps: number, most: number): RoutineStep | null {
  const step = { id: '', exerciseId: exercise.id, settings: {} };
  const fitting = optionsOf(step, exercise, context, sungSteps, 1).filter(
    ({ seconds }) => seconds >= REPAIR_SECONDS.least && seconds <= most,
  );
  const [longest] = [...fitting].sort((a, b) => b.seconds - a.seconds);
  return longest ? { ...step, settings: longest.settings } : null;
}

/** Gentle work of the shelf for a goal, known and unsung first. */
function candidatesFor(
  goal: string,
  state: RunState,
  { exercises, known, voice }: RoutineContext,
): readonly Exercise[] {
  const here = new Set(state.steps.map(({ exerciseId }) => exerciseId));
  const rank = ({ id, load }: Exercise): number => (known.has(id) ? 0 : 10) + (here.has(id) ? 5 : 0) + load;
  return [...exercises.values()]
    .filter(
      ({ goals, load, optIn, grit, stage, extendsRange }) =>
        goals.includes(goal) && load <= REPAIR_LOAD && !optIn && !grit && !extendsRange && stage !== 'cool',
    )
    .filter((exercise) => isForVoice(exercise, voice.type) && !obstacleTo(exercise, voice))
    .sort((a, b) => rank(a) - rank(b));
}

/**
 * One block of 30–90 s for each no, gentle, before the cool-down, as far as the minutes left hold them.
 *
 * @param goals what the noes ask for, in the order in which they were asked
 * @param seconds left besides the cool-down
 * @param newId gives each block its id
 */
export function repairsFor(
  goals: readonly string[],
  state: RunState,
  context: RoutineContext,
  seconds: number,
  newId: () => string,
): readonly Repair[] {
  const taken = new Set<string>();
  let left = seconds;
  let sungSteps = state.steps
    .slice(0, state.stepIndex)
    .filter(({ kind }) => kind === 'pattern' || kind === 'siren').length;
  return goals.map((goal): Repair => {
    const most = Math.min(REPAIR_SECONDS.most, left);
    if (most < REPAIR_SECONDS.least) return { goal, why: 'no-time' };
    for (const exercise of candidatesFor(goal, state, context)) {
      const block = taken.has(exercise.id) ? null : blockOf(exercise, context, sungSteps, most);
      if (!block) continue;
      const laid = layStep({ ...block, id: newId() }, exercise, context, sungSteps, 0);
      taken.add(exercise.id);
      left -= laid.seconds;
      if (isSungWork(exercise)) sungSteps += 1;
      return { goal, step: runStepOf(laid) };
    }
    return { goal, why: 'nothing-fits' };
  });
}
