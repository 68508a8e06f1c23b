import { z } from 'zod';
import { exerciseId, line, midiNote, someOf, whole, type ReadonlyDeep } from '../fields.schema.ts';
import { LEGS } from '../ladder/index.ts';
import { EXERCISE_KINDS } from '../limits/index.ts';
import { KEY_OUTCOMES, MARKS } from '../past/index.ts';
import { HELPS } from '../shelf/index.ts';
import { STILL_OUTCOMES } from '../still/index.ts';

/** What can stop a step: a mark, or effort over four of ten. */
export const STOP_CAUSES = [...MARKS, 'effort'] as const;

const key = z.strictObject({ tonic: midiNote, leg: z.enum(LEGS), low: midiNote, high: midiNote });

/** A step of a run as it was planned when the run began. */
export const plannedStepSchema = z.strictObject({
  stepId: z.uuid(),
  exerciseId,
  name: line(240),
  kind: z.enum(EXERCISE_KINDS),
  seconds: z.number().min(0).max(7200),
  keys: z.array(key).max(400),
  /** Resistance of occluded work, as it was then. */
  resistance: whole(1, 4).exactOptional(),
});

/** A key as it was really sung, or left out on the way. */
export const sungKeySchema = key.extend({
  id: z.uuid(),
  stepId: z.uuid(),
  exerciseId,
  /** Beats per minute. */
  tempo: z.number().min(20).max(400),
  outcome: z.enum(KEY_OUTCOMES),
  marks: someOf(MARKS),
  /** Who sounded in it. */
  help: z.enum(HELPS).exactOptional(),
  manner: line(240).exactOptional(),
});

/** What a teacher may change of a key afterwards. */
export const correctedKeySchema = sungKeySchema.pick({ id: true, outcome: true, marks: true });

/** What stopped a step: a mark, or more effort than a warm-up may cost. */
export const stopSchema = z.strictObject({ stepId: z.uuid(), mark: z.enum(STOP_CAUSES) });

/** What became of a step without pitch: how far it came. */
export const stepResultSchema = z.strictObject({
  stepId: z.uuid(),
  exerciseId,
  outcome: z.enum(STILL_OUTCOMES),
  seconds: z.number().min(0).max(7200),
  rounds: whole(0, 200),
  /** Most counts on one way out, or seconds of the longest breath. */
  most: z.number().min(0).max(600).exactOptional(),
  /** Beats per minute of the quickest line. */
  tempo: z.number().min(1).max(600).exactOptional(),
});

export type StopCause = (typeof STOP_CAUSES)[number];
export type PlannedStep = ReadonlyDeep<z.output<typeof plannedStepSchema>>;
export type SungKey = ReadonlyDeep<z.output<typeof sungKeySchema>>;
export type CorrectedKey = ReadonlyDeep<z.output<typeof correctedKeySchema>>;
export type StepResult = ReadonlyDeep<z.output<typeof stepResultSchema>>;
export type Stop = ReadonlyDeep<z.output<typeof stopSchema>>;
