import { z } from 'zod';
import { exerciseId, line, lines, midiNote, whole, type ReadonlyDeep } from '../fields.schema.ts';
import { PLACEMENT_RULES, secondPassSchema, SIREN_SHAPES, TRAVELS } from '../ladder/index.ts';
import { limitRuleSchema } from '../limits/index.ts';
import { LONGEST_TEXT } from '../pattern/index.ts';
import { HELP_CHOICES, LINE_ORDERS, PACES } from '../shelf/index.ts';
import { FIGURE_BOUNDS, LEAST_SECONDS, type FigureName } from './figure-bounds.data.ts';

/** House limits; nobody sings more of it. */
const MOST = {
  step: 12,
  keys: 48,
  timesPerKey: 8,
  seconds: 900,
  repeats: 30,
  setUpSeconds: 300,
  beats: 16,
  tempoStep: 12,
  manners: 8,
  lines: 60,
};
const seconds = whole(LEAST_SECONDS, MOST.seconds);

const figures = z.strictObject(
  Object.fromEntries(
    Object.entries(FIGURE_BOUNDS).map(([name, [least, most]]) => [
      name,
      z.number().min(least).max(most).exactOptional(),
    ]),
  ) as { [Name in FigureName]: z.ZodExactOptional<z.ZodNumber> },
);

/** A start by rule, such as three semitones over the lowest that is comfortable. */
const startRule = z.strictObject({ rule: z.enum(PLACEMENT_RULES), semitones: whole(-12, 24) });

/** What a teacher set by hand in one step; what is left out comes from the exercise and the voice. */
const stepSettingsSchema = z.strictObject({
  start: midiNote.exactOptional(),
  /** Where it starts instead, where no note is set. */
  startRule: startRule.exactOptional(),
  step: whole(1, MOST.step).exactOptional(),
  returnStep: whole(1, MOST.step).exactOptional(),
  travel: z.enum(TRAVELS).exactOptional(),
  maxKeys: whole(1, MOST.keys).exactOptional(),
  timesPerKey: whole(1, MOST.timesPerKey).exactOptional(),
  touchLimit: z.boolean().exactOptional(),
  /** Beats per minute. */
  tempo: z.number().min(30).max(240).exactOptional(),
  /** Beats per minute more in each new key. */
  tempoStep: z.number().min(-MOST.tempoStep).max(MOST.tempoStep).exactOptional(),
  /** The teacher's own limits for this step, MIDI. */
  floor: midiNote.exactOptional(),
  ceiling: midiNote.exactOptional(),
  /** The same by rule, where no note is set. */
  floorRule: limitRuleSchema.exactOptional(),
  ceilingRule: limitRuleSchema.exactOptional(),
  /** The ladder once more, so many semitones further. */
  again: secondPassSchema.exactOptional(),
  /** Tonics left out by hand, and tonics put in; MIDI. */
  struck: z.array(midiNote).max(MOST.keys).exactOptional(),
  added: z.array(midiNote).max(MOST.keys).exactOptional(),
  /** The tune is kept within so many semitones from its lowest note; what lies higher is left out. */
  narrowTo: whole(2, 36).exactOptional(),
  /** Sung on these instead. */
  syllables: line(LONGEST_TEXT).exactOptional(),
  /** Ways in which each key is sung, in order; none for one way. */
  manners: z.array(line(120)).max(MOST.manners).exactOptional(),
  /** Who sounds, in every key. */
  help: z.enum(HELP_CHOICES).exactOptional(),
  /** Whether its keys follow one another by themselves, whatever the school. */
  pace: z.enum(PACES).exactOptional(),
  /** Beats the new key’s chord takes, and the breath after it. */
  cueBeats: z.number().min(0).max(MOST.beats).exactOptional(),
  restBeats: z.number().min(0).max(MOST.beats).exactOptional(),
  setUpSeconds: whole(0, MOST.setUpSeconds).exactOptional(),
  /** A ladder’s keys are thinned until it takes no longer, set-up not counted. */
  withinSeconds: seconds.exactOptional(),
  /** Length of a timed step. */
  seconds: seconds.exactOptional(),
  /** Glides, cycles or repeats of a step that is not a ladder. */
  repeats: whole(1, MOST.repeats).exactOptional(),
  /** A glide of another shape, or every second one the other way round. */
  shape: z.enum(SIREN_SHAPES).exactOptional(),
  mirrored: z.boolean().exactOptional(),
  /** Other lines to say or call, and how they come. */
  lines: z.array(line(120)).min(2).max(MOST.lines).exactOptional(),
  order: z.enum(LINE_ORDERS).exactOptional(),
  /** Figures of work that is no tune. */
  figures: figures.exactOptional(),
  /** Something laid over the step, the id of an overlay. */
  overlay: z
    .string()
    .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/)
    .max(64)
    .exactOptional(),
  /** It pulls against another step on purpose. */
  contrast: z.boolean().exactOptional(),
  /** What the teacher says at the piano instead of the exercise’s own cues. */
  cue: line(240).exactOptional(),
  /** A note for the teacher alone. */
  note: lines(2000).exactOptional(),
});

/** A step of a routine as it is kept. */
export const routineStepSchema = z.strictObject({
  id: z.uuid(),
  exerciseId,
  settings: stepSettingsSchema,
  /** Stays as it is when the routine is drafted again or fitted. */
  locked: z.boolean().exactOptional(),
  /** The name of the block it belongs to; steps of one block stand together. */
  block: line(60).exactOptional(),
});

/** The steps of a routine, in order. */
export const routineStepsSchema = z.array(routineStepSchema).max(60);

export type StepSettings = ReadonlyDeep<z.output<typeof stepSettingsSchema>>;
export type RoutineStep = ReadonlyDeep<z.output<typeof routineStepSchema>>;
