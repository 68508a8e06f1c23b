import { z } from 'zod';
import { broken, type FaultCode } from '../faults.ts';
import { midiNote, whole } from '../fields.schema.ts';
import { secondPassSchema, SIREN_SHAPES, TRAVELS } from '../ladder/index.ts';
import { limitRuleSchema } from '../limits/index.ts';
import { LONGEST_TEXT, MARK_KINDS, MODES, type Mode } from '../pattern/index.ts';
import { VOICE_TYPES } from '../voice/index.ts';
import { HELP_CHOICES } from './help-plan.ts';

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
/** A sentence for people. */
export const words = z.string().min(2).max(240);
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
  /** The ladder once more, further. */
  again: secondPassSchema.optional(),
  /** Ends by rule; they take away and never add. */
  floorRule: limitRuleSchema.optional(),
  ceilingRule: limitRuleSchema.optional(),
  /** Who sounds in every key; left out help goes step by step. */
  help: z.enum(HELP_CHOICES).optional(),
  /** Beats per minute more in each new key. */
  tempoStep: z.number().min(-12).max(12).optional(),
  cueBeats: z.number().min(0).max(16).default(4),
  restBeats: z.number().min(0).max(16).default(2),
});

/** An end of a glide that is no share of the range: semitones over the floor, or a note. */
const glideEnd = z.discriminatedUnion('from', [
  z.strictObject({ from: z.literal('floor'), semitones: whole(0, 48) }),
  z.strictObject({ from: z.literal('note'), note: midiNote }),
]);

const sirenWork = z
  .strictObject({
    kind: z.literal('siren'),
    lowShare: z.number().min(0).max(1),
    highShare: z.number().min(0).max(1),
    /** The ends otherwise; they stand over the shares. */
    lowEnd: glideEnd.optional(),
    highEnd: glideEnd.optional(),
    shape: z.enum(SIREN_SHAPES),
    /** Every second one goes the other way round. */
    mirrored: z.boolean().optional(),
    repeats: oneTo(MOST.repeats),
    secondsEach: seconds,
    restSeconds: z.number().min(0).max(60).default(2),
    syllables: sung,
  })
  .refine((work) => !isOneNote(work), { ...broken('same-end'), path: ['highEnd'] });

interface GlideEnds {
  readonly lowShare: number;
  readonly highShare: number;
  readonly lowEnd?: z.output<typeof glideEnd> | undefined;
  readonly highEnd?: z.output<typeof glideEnd> | undefined;
}

/** Whether both ends of a glide are one, as far as that can be known without a voice. */
function isOneNote({ lowShare, highShare, lowEnd, highEnd }: GlideEnds): boolean {
  if (!lowEnd && !highEnd) return lowShare === highShare;
  if (lowEnd?.from === 'note' && highEnd?.from === 'note') return lowEnd.note === highEnd.note;
  return lowEnd?.from === 'floor' && highEnd?.from === 'floor' && lowEnd.semitones === highEnd.semitones;
}

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
    const refuse = (code: FaultCode, ...path: string[]): void => {
      context.addIssue({ code: 'custom', ...broken(code), path });
    };
    if ([by, bursts, longest].filter(Boolean).length !== 1) refuse('breath-of-many-kinds');
    if (by && by.inCounts + by.holdCounts + by.outCounts + by.restCounts === 0)
      refuse('no-count', 'counts', 'inCounts');
    if (by?.growsTo !== undefined && by.growsTo <= by.outCounts) refuse('no-growth', 'counts', 'growsTo');
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
    ...broken('prompts-too-long'),
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
    ...broken('too-few-to-draw'),
    path: ['lines'],
  });

/** What is done in an exercise, by its kind. */
export const workSchema = z.discriminatedUnion('kind', [patternWork, sirenWork, breathWork, timedWork, spokenWork]);

export type Work = z.output<typeof workSchema>;
export type PatternWork = Extract<Work, { kind: 'pattern' }>;
export type SirenWork = Extract<Work, { kind: 'siren' }>;
export type GlideEnd = z.output<typeof glideEnd>;
export type BreathWork = Extract<Work, { kind: 'breath' }>;
export type TimedWork = Extract<Work, { kind: 'timed' }>;
export type SpokenWork = Extract<Work, { kind: 'spoken' }>;
/** Work without pitch. */
export type StillWork = BreathWork | TimedWork | SpokenWork;
export type Prompt = Exclude<TimedWork['prompts'][number], string>;
