import { z } from 'zod';
import { whole, type ReadonlyDeep } from '../fields.schema.ts';

/** A second time through a ladder. */
export const secondPassSchema = z.strictObject({
  /** Semitones that it goes further than the first; it is the first that ends earlier where the limit is near. */
  further: whole(0, 12),
  /** Only where nothing was marked in the first. */
  ifEasy: z.boolean().exactOptional(),
});
export type SecondPass = ReadonlyDeep<z.output<typeof secondPassSchema>>;
