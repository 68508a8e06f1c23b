import { servesGoals } from '../day/index.ts';
import type { Stage } from '../limits/index.ts';
import { isSungWork } from '../shelf/index.ts';
import { layRoutine, type LaidRoutine, type RoutineStep } from '../routine/index.ts';
import type { DraftContext, Missing } from './draft.types.ts';

/** House choice: a draft that leaves more than this share of its minutes empty says so. */
const EMPTY_SHARE = 0.15;
/** Nobody sings longer than this at a go. Minutes. Source: usual time references. */
const LONGEST_GO = 45;

/** A stage that is wanted and is not there: the shelf has nothing of it, or this voice no room for it today. */
function withoutStage(stage: Stage, { steps }: LaidRoutine, { exercises }: DraftContext): readonly Missing[] {
  if (steps.some(({ exercise }) => exercise.stage === stage && isSungWork(exercise))) return [];
  const isOnShelf = [...exercises.values()].some((exercise) => exercise.stage === stage && isSungWork(exercise));
  return [{ code: isOnShelf ? 'missing.stage-room' : 'missing.stage-shelf', values: { context: stage } }];
}

function withoutKeys({ steps }: LaidRoutine): readonly Missing[] {
  return steps.some(({ laid }) => laid?.kind === 'pattern') ? [] : [{ code: 'missing.keys' }];
}

function emptyMinutes({ seconds }: LaidRoutine, { minutes }: DraftContext): readonly Missing[] {
  const left = minutes * 60 - seconds;
  if (left < 0) return [{ code: 'missing.too-short', values: { over: { seconds: -left } } }];
  if (left <= minutes * 60 * EMPTY_SHARE) return [];
  const twoGoes = minutes > LONGEST_GO ? { context: 'two-goes' } : {};
  return [{ code: 'missing.minutes', values: { left: { seconds: left }, count: minutes, ...twoGoes } }];
}

/**
 * What a teacher would miss in a draft, each with what to do about it.
 *
 * @returns nothing for a whole draft
 */
export function missingIn(steps: readonly RoutineStep[], context: DraftContext): readonly Missing[] {
  if (context.exercises.size === 0) return [{ code: 'missing.shelf' }];
  const laid = layRoutine(steps, context);
  if (steps.length === 0) return [{ code: 'missing.anything' }];
  // What is pinned fills the minutes: nothing else was looked for.
  if (laid.seconds > context.minutes * 60 + 1e-6) return emptyMinutes(laid, context);
  const isWhole = servesGoals(context.kind);
  return [
    ...(isWhole ? withoutStage('occluded', laid, context) : []),
    ...(isWhole ? withoutKeys(laid) : []),
    ...withoutStage('cool', laid, context),
    ...emptyMinutes(laid, context),
  ];
}
