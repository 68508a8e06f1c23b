import type { VoiceFile } from '../voice/index.ts';
import type { Exercise } from './exercise.schema.ts';
import { isSungWork } from './pattern-of.ts';
import { OVERLAYS, type Overlay } from './learning.data.ts';
import type { OverlayTouch, OwnOverlay } from './own-overlay.schema.ts';

/** Source: house choice; an overlay lies over a modest step, so that it is not done and watched at once. */
const MODEST_LOAD = 2;

/** Source: as for the shipped overlays; cautions on file, what stands in the way, and the day. */
const LEFT_OUT_BY: Readonly<Record<OverlayTouch, Pick<Overlay, 'notWith' | 'notIf' | 'notDizzy'>>> = {
  jaw: { notWith: ['jaw'] },
  neck: { notWith: ['neck-and-shoulder'] },
  belly: { notWith: ['belly', 'pregnancy'] },
  standing: { notIf: ['seated'] },
  balance: { notDizzy: true },
};

/** An overlay of the teacher’s own as the shipped ones are. */
function overlayFromOwn({ touches, ...own }: OwnOverlay): Overlay {
  const notWith = touches.flatMap((touch) => LEFT_OUT_BY[touch].notWith ?? []);
  const notIf = touches.flatMap((touch) => LEFT_OUT_BY[touch].notIf ?? []);
  const notDizzy = touches.some((touch) => LEFT_OUT_BY[touch].notDizzy);
  return { ...own, isTechnical: true, learnt: [], cautions: [], notWith, notIf, notDizzy };
}

/** What may be laid over steps in a studio: the shipped ones, then its own. */
export function overlaysOf(ownOverlays: readonly OwnOverlay[] = []): readonly Overlay[] {
  return [...OVERLAYS, ...ownOverlays.map(overlayFromOwn)];
}

/** Whether something may be laid over an exercise: modest, and sung or breathed. */
export function takesOverlay(exercise: Pick<Exercise, 'load' | 'work' | 'stage'>): boolean {
  return exercise.load <= MODEST_LOAD && (isSungWork(exercise) || exercise.stage === 'breath');
}

/** Whether a step is watched in a mirror: by its kit, its sense check, or what is laid over it. */
export function wantsMirror(
  { kit, senseCheck }: Pick<Exercise, 'kit' | 'senseCheck'>,
  overlay: Overlay | undefined,
): boolean {
  return kit.includes('mirror') || senseCheck?.by === 'eye' || overlay?.id === 'mirror';
}

/** Who would do it, and on what day. */
interface OverlayDay {
  /** The teacher’s own, besides those that are shipped. */
  readonly ownOverlays?: readonly OwnOverlay[];
  readonly voice?: Pick<VoiceFile, 'cautions' | 'obstacles'>;
  readonly breathOff?: boolean;
}

/**
 * The overlay of a step.
 *
 * @returns none where the exercise takes none, there is no such overlay, or a caution, an obstacle or the day leaves it out
 */
export function overlayFor(
  exercise: Pick<Exercise, 'load' | 'work' | 'stage'>,
  id: string | undefined,
  { voice: { cautions = [], obstacles = [] } = {}, breathOff = false, ownOverlays = [] }: OverlayDay = {},
): Overlay | undefined {
  const overlay = takesOverlay(exercise) ? overlaysOf(ownOverlays).find((one) => one.id === id) : undefined;
  if (!overlay) return undefined;
  const { notWith = [], notIf = [], notDizzy = false } = overlay;
  const isLeftOut =
    notWith.some((on) => cautions.includes(on)) ||
    notIf.some((obstacle) => obstacles.includes(obstacle)) ||
    (notDizzy && breathOff);
  return isLeftOut ? undefined : overlay;
}
