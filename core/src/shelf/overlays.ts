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

/** The overlay of a step; none where the exercise takes none, or there is no such overlay. */
export function overlayFor(exercise: Pick<Exercise, 'load' | 'work'>, id: string | undefined): Overlay | undefined {
  return takesOverlay(exercise) ? OVERLAYS.find((overlay) => overlay.id === id) : undefined;
}
