import { layRoutine } from '../routine/index.ts';
import { comingBack } from './coming-back.ts';
import { compose } from './compose.ts';
import { sortOut } from './draft-candidates.ts';
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

/** A filled place as it is handed out; only pinned steps are locked. */
function drafted({ id, exerciseId, settings, locked, block, reasons, passedOver }: Filled): DraftedStep {
  const own = { ...(locked && { locked }), ...(block !== undefined && { block }) };
  return { id, exerciseId, settings, reasons, passedOver, ...own };
}
