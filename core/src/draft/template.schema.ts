import { z } from 'zod';
import { ROUTINE_KINDS } from '../day/index.ts';
import { whole, type ReadonlyDeep } from '../fields.schema.ts';
import { STAGES } from '../limits/index.ts';
import { routineStepsSchema } from '../routine/index.ts';

/** One place of a recipe: a stage, what it should serve, and how much it may ask. */
export const recipePartSchema = z.strictObject({
  stage: z.enum(STAGES),
  goals: z.array(z.string().min(1).max(60)).max(12).default([]),
  mostLoad: whole(0, 5).default(5),
  /** Stays when time is short. */
  keep: z.boolean().exactOptional(),
});

/** What a template holds: steps where it is kept as it is, places to fill where it is a recipe; the other is empty. */
export const templateSchema = z.strictObject({
  kind: z.enum(ROUTINE_KINDS),
  minutes: whole(1, 120),
  steps: routineStepsSchema,
  parts: z.array(recipePartSchema).max(60),
});

export type KeptPart = ReadonlyDeep<z.output<typeof recipePartSchema>>;
export type KeptTemplate = ReadonlyDeep<z.output<typeof templateSchema>>;
