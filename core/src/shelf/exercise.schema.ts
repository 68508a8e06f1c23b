import { z } from 'zod';
import { whole } from '../fields.schema.ts';
import { STAGES } from '../limits/index.ts';
import { LONGEST_TEXT, MARK_KINDS, MODES, type Mode } from '../pattern/index.ts';
import { NOISES } from './noises.data.ts';
import { PULLS } from './pulls.data.ts';
import { SIREN_SHAPES, TRAVELS } from '../ladder/index.ts';
import { BURDENS, CAUTIONS, OBSTACLES, REGISTERS, STYLES, VOICE_TYPES } from '../voice/index.ts';

/** How far on one has to be. */
export const LEVELS = ['first', 'steady', 'advanced'] as const;
/** When a cue is said. */
export const CUE_PLACES = ['always', 'low', 'bridge', 'above', 'top', 'last'] as const;
/** What a student finds out by. */
export const SENSES = ['hand', 'ear', 'eye'] as const;
/** Whether a prompt is done once, on both sides or both ways round. */
export const PROMPT_SIDES = ['once', 'both-sides', 'both-directions'] as const;
/** Lines are said in their order, or drawn as they come. */
export const LINE_ORDERS = ['given', 'drawn'] as const;

const oneTo = (most: number): z.ZodInt => whole(1, most);
const counts = (most: number): z.ZodInt => whole(0, most);
/** Source: house limits; nobody sings more of it, and what is laid out stays small. */
const MOST = {
  step: 24,
  keys: 48,
  timesPerKey: 12,
  repeats: 60,
  counts: 60,
  outCounts: 120,
  growsBy: 12,
  rounds: 10,
  breathSeconds: 60,
  restSeconds: 300,
  prompts: 24,
  lines: 60,
};
const seconds = z.number().positive().max(900);
const words = z.string().min(2).max(240);
/** An id, a goal, a piece of kit. */
const name = z.string().max(120);
/** A pattern, or the syllables under it. */
const sung = z.string().min(1).max(LONGEST_TEXT);
const modes = Object.keys(MODES) as [Mode, ...Mode[]];

const placement = z.discriminatedUnion('rule', [
  z.strictObject({ rule: z.literal('low-anchor'), semitones: z.int().min(0).max(24).default(3) }),
  z.strictObject({ rule: z.literal('high-anchor'), semitones: z.int().min(0).max(24).default(2) }),
  z.strictObject({ rule: z.literal('bridge-anchor'), semitones: z.int().min(-12).max(12).default(2) }),
  z.strictObject({ rule: z.literal('speaking-pitch') }),
  z.strictObject({
    rule: z.literal('absolute'),
    notes: z.partialRecord(z.enum(VOICE_TYPES), z.int().min(24).max(96)),
  }),
]);

const mark = z.strictObject({
  kind: z.enum(MARK_KINDS),
  first: z.int().min(0),
  last: z.int().min(0),
});

const patternWork = z.strictObject({
  kind: z.literal('pattern'),
  pattern: sung,
  mode: z.enum(modes).default('major'),
  syllables: sung,
  /** Other sets of syllables to choose from. */
  syllableSets: z.array(sung).max(20).default([]),
  /** Syllables that change with the height of the key. */
  syllablesAt: z.strictObject({ low: sung, bridge: sung, above: sung }).partial().default({}),
  marks: z.array(mark).default([]),
  /** Beats per minute. */
  tempo: z
    .strictObject({ learn: z.number().optional(), usual: z.number().min(20).max(300), fast: z.number().optional() })
    .default({ usual: 84 }),
  placement: placement.default({ rule: 'low-anchor', semitones: 3 }),
  travel: z.enum(TRAVELS).default('rise-return'),
  step: oneTo(MOST.step).default(1),
  returnStep: oneTo(MOST.step).optional(),
  fewestKeys: oneTo(MOST.keys).default(3),
  mostKeys: oneTo(MOST.keys).optional(),
  timesPerKey: oneTo(MOST.timesPerKey).default(1),
  cueBeats: z.number().min(0).max(16).default(4),
  restBeats: z.number().min(0).max(16).default(2),
});

const sirenWork = z.strictObject({
  kind: z.literal('siren'),
  lowShare: z.number().min(0).max(1),
  highShare: z.number().min(0).max(1),
  shape: z.enum(SIREN_SHAPES),
  repeats: oneTo(MOST.repeats),
  secondsEach: seconds,
  restSeconds: z.number().min(0).max(60).default(2),
  syllables: sung,
});

const breathWork = z
  .strictObject({
    kind: z.literal('breath'),
    counts: z
      .strictObject({
        inCounts: counts(MOST.counts),
        holdCounts: counts(MOST.counts),
        outCounts: counts(MOST.outCounts),
        restCounts: counts(MOST.counts),
        cycles: oneTo(MOST.repeats),
        countTempo: z.number().min(30).max(120),
        /** So many counts more on the way out in each cycle, up to so many. */
        growsBy: counts(MOST.growsBy).default(0),
        growsTo: counts(MOST.outCounts).optional(),
      })
      .optional(),
    bursts: z
      .strictObject({
        repeats: oneTo(MOST.repeats),
        secondsEach: seconds,
        restSeconds: z.number().min(0).max(MOST.restSeconds),
      })
      .optional(),
    /** As long as a breath lasts, and no longer than so many seconds. */
    longest: z
      .strictObject({
        rounds: oneTo(MOST.rounds),
        mostSeconds: z.number().min(3).max(MOST.breathSeconds),
        restSeconds: z.number().min(0).max(MOST.restSeconds),
      })
      .optional(),
    syllables: sung.optional(),
  })
  .superRefine(({ counts: by, bursts, longest }, context) => {
    const refuse = (message: string, ...path: string[]): void => {
      context.addIssue({ code: 'custom', message, path });
    };
    if ([by, bursts, longest].filter(Boolean).length !== 1)
      refuse('goes by counts, in goes or as long as it lasts: one of them');
    if (by && by.inCounts + by.holdCounts + by.outCounts + by.restCounts === 0)
      refuse('has no count at all', 'counts', 'inCounts');
    if (by?.growsTo !== undefined && by.growsTo <= by.outCounts)
      refuse('is not more than it begins with', 'counts', 'growsTo');
  });

const prompt = z.strictObject({
  text: words,
  /** Left out it has its share of what the others leave. */
  seconds: seconds.optional(),
  each: z.enum(PROMPT_SIDES).optional(),
});

/** Seconds that prompts have of their own. */
function secondsGiven(prompts: readonly (string | { readonly seconds?: number | undefined })[]): number {
  return prompts.reduce((sum, one) => sum + (typeof one === 'string' ? 0 : (one.seconds ?? 0)), 0);
}

const timedWork = z
  .strictObject({
    kind: z.literal('timed'),
    seconds,
    prompts: z
      .array(z.union([words, prompt]))
      .min(1)
      .max(MOST.prompts),
  })
  .refine(({ seconds: all, prompts }) => secondsGiven(prompts) <= all, {
    message: 'is less than its prompts take together',
    path: ['seconds'],
  });

const spokenWork = z
  .strictObject({
    kind: z.literal('spoken'),
    repeats: oneTo(MOST.repeats),
    beats: z.number().positive(),
    tempo: z.number().min(20).max(300),
    quickening: z.number().min(0).max(0.2).default(0),
    text: words,
    /** What is said instead of the text, one at each repeat: in their order, or drawn. */
    lines: z.array(z.string().trim().min(1).max(120)).max(MOST.lines).default([]),
    order: z.enum(LINE_ORDERS).default('given'),
    restSeconds: z.number().min(0).max(60).default(0),
  })
  .refine(({ lines, order }) => order === 'given' || lines.length >= 2, {
    message: 'needs at least two entries to draw from',
    path: ['lines'],
  });

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
  pulls: z.array(name.refine((pull) => PULLS.includes(pull), 'is not a way an exercise pulls')).default([]),
  why: z.string().max(240).default(''),
  work: z.discriminatedUnion('kind', [patternWork, sirenWork, breathWork, timedWork, spokenWork]),
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
export type Work = Exercise['work'];
export type PatternWork = Extract<Work, { kind: 'pattern' }>;
export type SirenWork = Extract<Work, { kind: 'siren' }>;
export type BreathWork = Extract<Work, { kind: 'breath' }>;
export type TimedWork = Extract<Work, { kind: 'timed' }>;
export type SpokenWork = Extract<Work, { kind: 'spoken' }>;
/** Work without pitch. */
export type StillWork = BreathWork | TimedWork | SpokenWork;
export type Prompt = Exclude<TimedWork['prompts'][number], string>;
export type Cue = Exercise['cues'][number];

/** Whether work has no pitch. */
export function isStillWork(work: Work): work is StillWork {
  return work.kind !== 'pattern' && work.kind !== 'siren';
}

/** A prompt in its full form. */
export function promptOf(written: TimedWork['prompts'][number]): Prompt {
  return typeof written === 'string' ? { text: written } : written;
}
