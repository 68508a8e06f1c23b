import { z } from 'zod';
import { line, someOf, whole, type ReadonlyDeep } from '../fields.schema.ts';

/** What something laid over a step has to do with: it is left out where that is not to be touched. */
export const OVERLAY_TOUCHES = ['jaw', 'neck', 'belly', 'standing', 'balance'] as const;
export type OverlayTouch = (typeof OVERLAY_TOUCHES)[number];

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
