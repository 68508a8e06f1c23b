import { z } from 'zod';
import { line, midiNote, whole, type ReadonlyDeep } from '../fields.schema.ts';
import { HIGHEST_TUNING_HZ, LOWEST_TUNING_HZ } from '../pitch/index.ts';
import { SOUND_ROLES } from '../sound/index.ts';

/** House choices: sounds of one key, and seconds that one may begin or last. A long agility exercise with a click has 60. */
const MOST_SOUNDS = 200;
const LONGEST_SECONDS = 120;

const seconds = z.number().min(0).max(LONGEST_SECONDS);

/** What a student sees while the teacher conducts from far away: nothing of the voice file. */
const shownSchema = z.strictObject({
  step: line(240),
  /** The tonic, MIDI; steps without keys and glides have none. */
  tonic: midiNote.nullable(),
  /** What is sung, or said. */
  text: line(240, 0),
  /** What the teacher would say. */
  say: line(400, 0),
  /** Which key of how many; 0 of 0 in a step without keys. */
  key: whole(0, 400),
  keys: whole(0, 400),
});

/** What is to sound at the side of a student whose teacher conducts over video: one key, or silence where it has no sounds. */
export const lessonSoundSchema = z.strictObject({
  /** Milliseconds on the teacher’s clock; what comes after one that was sent later is not played. */
  sentAt: whole(0, Number.MAX_SAFE_INTEGER),
  /** How far ahead it was handed over. */
  inSeconds: z.number().min(0).max(1),
  /** Role, pitch, start, length, velocity: short, as a key is passed on at once. */
  sounds: z
    .array(z.tuple([z.enum(SOUND_ROLES), midiNote, seconds, seconds, z.number().min(0).max(1)]))
    .max(MOST_SOUNDS),
  /** A4 in Hz. */
  tuning: z.number().min(LOWEST_TUNING_HZ).max(HIGHEST_TUNING_HZ),
  shown: shownSchema,
});

export type LessonSound = ReadonlyDeep<z.output<typeof lessonSoundSchema>>;
