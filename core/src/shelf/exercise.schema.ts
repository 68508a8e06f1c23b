import { z } from 'zod';
import { broken } from '../faults.ts';
import { STAGES } from '../limits/index.ts';
import { NOISES } from './noises.data.ts';
import { PULLS } from './pulls.data.ts';
import { BURDENS, CAUTIONS, OBSTACLES, REGISTERS, STYLES, VOICE_TYPES } from '../voice/index.ts';
import { words, workSchema } from './work.schema.ts';

/** How far on one has to be. */
export const LEVELS = ['first', 'steady', 'advanced'] as const;
/** When a cue is said. */
export const CUE_PLACES = ['always', 'low', 'bridge', 'above', 'top', 'last'] as const;
/** What a student finds out by. */
export const SENSES = ['hand', 'ear', 'eye'] as const;

/** An id, a goal, a piece of kit. */
const name = z.string().max(120);

const cue = z.strictObject({
  text: words,
  at: z.enum(CUE_PLACES).default('always'),
  /** Shown only where the approach agrees, as question=choice. */
  approach: name.optional(),
});

const remedy = z.strictObject({ kind: z.enum(['cue', 'tempo', 'relative', 'lower-key', 'rest']), text: words });

/** Marks on a key that something to watch for can answer; the stop marks end the step instead. */
export const ANSWERED_MARKS = ['strain', 'crack', 'pitch', 'breath', 'tension'] as const;

const watchFor = z.strictObject({
  seen: words,
  /** Pressing this mark at the piano offers the remedies. */
  mark: z.enum(ANSWERED_MARKS).optional(),
  causes: z.array(words).min(1),
  remedies: z.array(remedy).min(1),
});

const relative = z.strictObject({
  id: name,
  as: z.enum(['easier', 'shorter', 'instead']),
  when: z.enum(OBSTACLES).optional(),
});

/** An exercise of the shelf: everything the core reads is data, the prose is for people. */
export const exerciseSchema = z.strictObject({
  id: name.regex(/^[a-z0-9]+(-[a-z0-9]+)*$/),
  name: words,
  /** For pictures, where there is little room. */
  shortName: z.string().min(2).max(14),
  stage: z.enum(STAGES),
  level: z.enum(LEVELS).default('first'),
  does: z.enum(['warms', 'builds']).default('warms'),
  load: z.int().min(0).max(5),
  register: z.enum(REGISTERS).default('any'),
  quiet: z.boolean().default(false),
  grit: z.boolean().default(false),
  extendsRange: z.boolean().default(false),
  /** Empty means all. */
  styles: z.array(z.enum(STYLES)).default([]),
  voices: z.array(z.enum(VOICE_TYPES)).default([]),
  goals: z.array(name).max(60).default([]),
  needs: z.array(name).max(60).default([]),
  noise: z.enum(NOISES).default('normal'),
  kit: z.array(name).max(60).default([]),
  /** The ways it pulls, as question=choice; two that pull opposite ways do not belong in one session. */
  pulls: z.array(name.refine((pull) => PULLS.includes(pull), broken('not-offered'))).default([]),
  why: z.string().max(240).default(''),
  work: workSchema,
  cues: z.array(cue).max(40).default([]),
  watchFor: z.array(watchFor).max(40).default([]),
  relatives: z.array(relative).max(40).default([]),
  cautions: z.array(words).default([]),
  /** Cautions on file that leave it out. */
  notWith: z.array(z.enum(CAUTIONS)).default([]),
  /** Not under this age, years. */
  notUnder: z.int().min(1).max(99).optional(),
  /** Not on a day with one of these conditions; a rough voice counts as recovering. */
  notWhen: z.array(z.enum(BURDENS)).default([]),
  /** Not within so many hours of a performance. */
  notWithin: z.int().min(1).max(168).optional(),
  /** Over for the day after any dizziness, as breath work is. */
  notDizzy: z.boolean().default(false),
  /** Only in a voice whose range was measured. */
  onlyMeasured: z.boolean().default(false),
  /** How much of it there may be: after so many keys a rest of so many seconds, and no more seconds in a session. */
  dose: z
    .strictObject({
      restAfterKeys: z.int().min(1).max(12).optional(),
      restSeconds: z.number().min(1).max(120).default(20),
      mostSeconds: z.number().min(10).max(1800),
    })
    .optional(),
  /** Ways in which one key is sung before moving on, in order, such as breathy, then clear. */
  manners: z.array(words).default([]),
  /** How the student finds out alone, and what right feels like. */
  senseCheck: z.strictObject({ by: z.enum(SENSES), text: words }).optional(),
  /** Steps it is learnt in over weeks; the rules for passing and going back are `LEARNING_RULES`. */
  learnt: z.array(z.strictObject({ name: words, text: words })).default([]),
  /** Of occluded work: 1 a hum … 4 a narrow straw. */
  resistance: z.int().min(1).max(4).optional(),
  /** The teacher opts in before it is ever drafted: breath holds, grit. */
  optIn: z.boolean().default(false),
  /** The shipped exercise it was copied from. */
  copyOf: name.optional(),
});

/** An exercise as it is written in a data file; what is left out takes its usual value. */
export type WrittenExercise = z.input<typeof exerciseSchema>;
export type Exercise = z.output<typeof exerciseSchema>;
export type Cue = Exercise['cues'][number];
