import { z } from 'zod';
import { broken } from '../faults.ts';
import { MODES, type Mode } from '../pattern/index.ts';

const modes = Object.keys(MODES) as [Mode, ...Mode[]];
const midi = z.int().min(0).max(127);

const event = z.strictObject({
  midi: midi.exactOptional(),
  to: midi.exactOptional(),
  beats: z.number().positive().max(64),
  syllable: z.string().max(40).exactOptional(),
  continues: z.boolean().exactOptional(),
});

/** Source: house limit; a long aria has under two thousand notes. */
const MOST_EVENTS = 4000;

/** A tune kept in a studio: one voice, lengths in quarter notes. */
export const songSchema = z.strictObject({
  name: z.string().trim().min(1).max(120),
  events: z
    .array(event)
    .max(MOST_EVENTS)
    .refine((events) => events.some((one) => one.midi !== undefined), broken('no-note')),
  /** Beats per minute. */
  tempo: z.number().min(20).max(300).default(84),
  tonicClass: z.int().min(0).max(11).exactOptional(),
  mode: z.enum(modes).default('major'),
  beatsPerBar: z.number().min(1).max(32).default(4),
  pickupBeats: z.number().min(0).max(32).default(0),
});

export type Song = z.output<typeof songSchema>;
