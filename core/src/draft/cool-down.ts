import { isSungWork } from '../shelf/index.ts';
import { optionsOf, type StepOption } from '../fit/index.ts';
import { coolDownSeconds, type StepSettings } from '../routine/index.ts';
import { stepShape } from './draft-shape.ts';
import type { DraftContext } from './draft.types.ts';
import { fillPlace, leastOf, type Filled, type Pool } from './drafting.ts';

/** In less there is no time to lay by for a cool-down. Minutes. */
const SHORTEST_WITH_COOL_DOWN = 3;

/** House choice: so many seconds less are as good. */
const COOL_DOWN_SLACK = 5;

/** The cool-down as long as it should be: its time is laid by before anything else is fitted. */
export function withCoolDown(steps: readonly Filled[], context: DraftContext): readonly Filled[] {
  // In two minutes there is no time to lay by.
  if (context.kind === 'cool-down' || context.minutes < SHORTEST_WITH_COOL_DOWN) return steps;
  const mostLoad = Math.max(0, ...steps.map(({ exercise }) => exercise.load));
  const free = steps.filter((step) => step.exercise.stage === 'cool' && !(step.locked ?? false));
  const sung = steps.filter(({ exercise }) => isSungWork(exercise)).length;
  let left = coolDownSeconds(context.minutes, mostLoad, context.rules);
  const lengths = new Map<string, StepSettings>();
  for (const [index, step] of free.entries()) {
    const options = coolDownOptions(step, context, sung);
    const share = left / (free.length - index);
    const chosen = options.find(({ seconds }) => seconds >= share - COOL_DOWN_SLACK) ?? options.at(-1);
    left -= chosen?.seconds ?? 0;
    lengths.set(step.id, chosen?.settings ?? step.settings);
  }
  return steps.map((step) => {
    const settings = lengths.get(step.id);
    return settings ? { ...step, settings, isFixed: true } : step;
  });
}

/** How long a step of the cool-down can be: down to two keys, up to its whole length twice over. */
function coolDownOptions(step: Filled, context: DraftContext, sungSteps: number): readonly StepOption[] {
  const shape = {
    leastKeys: 0,
    mostSeconds: stepShape(step.exercise, context, 2).mostSeconds,
    twiceUpToKeys: Infinity,
  };
  const plain = { ...step, settings: step.own };
  return [...optionsOf(plain, step.exercise, context, sungSteps, 1, false, shape)].sort(
    (a, b) => a.seconds - b.seconds,
  );
}

/** House choice: a cool-down is parted into this many steps at most. */
const MOST_COOL_DOWNS = 5;

/** More steps of cool-down where one cannot be as long as it should be. */
export function withMoreCoolDown(filled: readonly Filled[], pool: Pool): readonly Filled[] {
  const { context } = pool;
  if (context.kind === 'cool-down' || context.minutes < SHORTEST_WITH_COOL_DOWN) return filled;
  const wanted = coolDownSeconds(context.minutes, 0, context.rules) - COOL_DOWN_SLACK;
  let all = filled;
  for (let count = 1; count < MOST_COOL_DOWNS; count += 1) {
    const cool = all.filter(({ exercise }) => exercise.stage === 'cool');
    const most = cool.reduce((sum, step) => sum + (coolDownOptions(step, context, 3).at(-1)?.seconds ?? step.most), 0);
    if (most >= wanted) return all;
    const next = fillPlace(all, { stage: 'cool', isSung: true }, context.minutes * 60 - leastOf(all), pool);
    if (next === all) return all;
    all = next;
  }
  return all;
}
