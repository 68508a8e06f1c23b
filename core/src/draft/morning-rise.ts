import { dayIs } from '../voice/index.ts';
import { layRoutine } from '../routine/index.ts';
import { type Filled, withSettings } from './drafting.ts';
import type { DraftContext } from './draft.types.ts';
import { isGood } from './smooth-jumps.ts';

/** Source: house reading of usual practice: a low morning voice rises in the last third only. */
const RISES_FROM = 2 / 3;

function rises({ exercise: { work, stage } }: Pick<Filled, 'exercise'>): boolean {
  return work.kind === 'pattern' && work.travel.startsWith('rise') && stage !== 'cool';
}

/**
 * A heavy morning goes down; the last ladder before the cool-down rises as it is written, where nothing else weighs on
 * the voice and it has the keys for it.
 */
export function withMorningRise(steps: readonly Filled[], context: DraftContext): readonly Filled[] {
  const { conditions } = context;
  const isOnlyHeavy = dayIs(conditions, 'low') && !dayIs(conditions, 'worn');
  const last = isOnlyHeavy ? steps.filter(rises).at(-1) : undefined;
  if (last?.exercise.work.kind !== 'pattern' || last.locked) return steps;
  const { travel } = last.exercise.work;
  const risen = steps.map((step) => (step === last ? withSettings(step, { travel }) : step));
  const laid = layRoutine(risen, context).steps.find(({ id }) => id === last.id);
  return laid && isGood(laid) ? risen : steps;
}

/** Whether what rises on a heavy morning comes late enough. */
export function risesLate(steps: readonly Filled[], context: DraftContext): boolean {
  const { steps: laid, seconds } = layRoutine(steps, context);
  const last = laid.filter(rises).at(-1);
  return last === undefined || last.startsAt >= seconds * RISES_FROM;
}
