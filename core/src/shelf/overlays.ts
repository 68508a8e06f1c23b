import type { Caution } from '../voice/index.ts';
import type { Exercise } from './exercise.schema.ts';
import { isSungWork } from './pattern-of.ts';
import { OVERLAYS, type Overlay } from './learning.data.ts';

/** Source: house choice; an overlay lies over a modest step, so that it is not done and watched at once. */
const MODEST_LOAD = 2;

/** Whether something may be laid over an exercise: modest and sung. */
export function takesOverlay(exercise: Pick<Exercise, 'load' | 'work'>): boolean {
  return exercise.load <= MODEST_LOAD && isSungWork(exercise);
}

/** Whether a step is watched in a mirror: by its kit, its sense check, or what is laid over it. */
export function wantsMirror(
  { kit, senseCheck }: Pick<Exercise, 'kit' | 'senseCheck'>,
  overlay: Overlay | undefined,
): boolean {
  return kit.includes('mirror') || senseCheck?.by === 'eye' || overlay?.id === 'mirror';
}

/** The overlay of a step; none where the exercise takes none, there is no such overlay, or a caution on file leaves it out. */
export function overlayFor(
  exercise: Pick<Exercise, 'load' | 'work'>,
  id: string | undefined,
  cautions: readonly Caution[] = [],
): Overlay | undefined {
  const overlay = takesOverlay(exercise) ? OVERLAYS.find((one) => one.id === id) : undefined;
  return overlay?.notWith?.some((on) => cautions.includes(on)) ? undefined : overlay;
}
