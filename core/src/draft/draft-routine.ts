import { USUAL_RULES } from '../limits/index.ts';
import { layRoutine } from '../routine/index.ts';
import { compose } from './compose.ts';
import { sortOut, type Eligible } from './draft-candidates.ts';
import type { DraftSlot } from './draft-plan.data.ts';
import { POOR_EASE } from './draft-shape.data.ts';
import { shapeOf } from './draft-shape.ts';
import { slotsOf } from './draft-slots.ts';
import type { DraftContext, DraftedRoutine, DraftedStep } from './draft.types.ts';
import { missingIn } from './missing.ts';
import type { Filled } from './drafting.ts';

/**
 * Proposes a whole routine: what is allowed today first, then what serves goals and song best, with variety and little
 * explaining; fitted to the minutes exactly. The same inputs and seed give the same routine.
 *
 * @returns steps in order, each with its reason; `leftOut` with what may not be sung today and why; no step at all where
 * the shelf has nothing for this voice today
 */
export function draftRoutine(context: DraftContext): DraftedRoutine {
  const { minutes, seed } = context;
  const { eligible, leftOut } = sortOut(context);
  const slots = [...comingBack(context, eligible), ...slotsOf(context, eligible)];
  const steps = compose(slots, { context, eligible });
  const { seconds } = layRoutine(steps, context);
  const overBy = seconds - minutes * 60;
  return {
    steps: steps.map(drafted),
    seconds,
    seed,
    leftOut,
    missing: missingIn(steps, context),
    ...(overBy > 1e-6 && { overBy }),
  };
}

/**
 * Places for what comes back from the last run: about two thirds of it, chosen by the seed. What went poorly comes back
 * as its easier relative.
 */
function comingBack(context: DraftContext, eligible: readonly Eligible[]): readonly DraftSlot[] {
  const [last = []] = context.recent ?? [];
  const may = new Map(eligible.map((one) => [one.exercise.id, one]));
  const { wanted } = shapeOf(context);
  const easier = (id: string): string | undefined =>
    context.exercises.get(id)?.relatives.find((relative) => relative.as === 'easier')?.id;
  const isPoor = (id: string): boolean => (context.ease?.get(id) ?? 5) <= POOR_EASE;
  const ids = last.map((id) => (isPoor(id) ? easier(id) : id)).filter((id) => id !== undefined && may.has(id));
  return [...new Set(ids)]
    .flatMap((id) => may.get(id ?? '') ?? [])
    .sort((a, b) => b.chance - a.chance)
    .slice(0, Math.round(Math.min(wanted, last.length) * (context.rules ?? USUAL_RULES).draft.comesBack))
    .map(({ exercise: { id, stage } }) => ({ stage, only: id }));
}

/** A filled place as it is handed out; only pinned steps are locked. */
function drafted({ id, exerciseId, settings, locked, block, reason, passedOver }: Filled): DraftedStep {
  const own = { ...(locked && { locked }), ...(block !== undefined && { block }) };
  return { id, exerciseId, settings, reason, passedOver, ...own };
}
