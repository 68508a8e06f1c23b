import { z } from 'zod';
import { line, someOf, whole, type ReadonlyDeep } from '../fields.schema.ts';
import type { Overlay } from './learning.data.ts';

/** What something laid over a step has to do with: it is left out where that is not to be touched. */
export const OVERLAY_TOUCHES = ['jaw', 'neck', 'belly', 'standing', 'balance'] as const;
export type OverlayTouch = (typeof OVERLAY_TOUCHES)[number];

/** Source: as for the shipped overlays; cautions on file, what stands in the way, and the day. */
const LEFT_OUT_BY: Readonly<Record<OverlayTouch, Pick<Overlay, 'notWith' | 'notIf' | 'notDizzy'>>> = {
  jaw: { notWith: ['jaw'] },
  neck: { notWith: ['neck-and-shoulder'] },
  belly: { notWith: ['belly', 'pregnancy'] },
  standing: { notIf: ['seated'] },
  balance: { notDizzy: true },
};

/** House limit; a list to choose from, not a second shelf. */
export const MOST_OWN_OVERLAYS = 20;

/** Something a teacher lays over steps, of the teacher’s own. */
export const ownOverlaySchema = z.strictObject({
  id: z.string().regex(/^own-[a-z0-9-]{1,60}$/),
  name: line(60),
  /** What the student does. */
  text: line(240),
  setUpSeconds: whole(0, 60),
  touches: someOf(OVERLAY_TOUCHES),
});
export type OwnOverlay = ReadonlyDeep<z.output<typeof ownOverlaySchema>>;

/** An overlay of the teacher’s own as the shipped ones are. */
export function overlayFromOwn({ touches, ...own }: OwnOverlay): Overlay {
  const notWith = touches.flatMap((touch) => LEFT_OUT_BY[touch].notWith ?? []);
  const notIf = touches.flatMap((touch) => LEFT_OUT_BY[touch].notIf ?? []);
  const notDizzy = touches.some((touch) => LEFT_OUT_BY[touch].notDizzy);
  return { ...own, isTechnical: true, learnt: [], cautions: [], notWith, notIf, notDizzy };
}
