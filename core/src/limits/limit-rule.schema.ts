import { z } from 'zod';
import { whole, type ReadonlyDeep } from '../fields.schema.ts';

/** What an end of a step may be counted from, instead of a note. */
export const LIMIT_ANCHORS = ['bridge', 'comfortable', 'chest-top', 'song'] as const;
export type LimitAnchor = (typeof LIMIT_ANCHORS)[number];

/** An end by rule: semitones from an anchor, such as two under the bridge. */
export const limitRuleSchema = z.strictObject({ from: z.enum(LIMIT_ANCHORS), by: whole(-12, 12) });
export type LimitRule = ReadonlyDeep<z.output<typeof limitRuleSchema>>;
