import { occasionOf, ROUTINE_KINDS } from '../day/index.ts';
import fc from 'fast-check';
import { type DraftContext } from '../draft/index.ts';
import { APPROACH_CHOICES } from '../shelf/index.ts';
import {
  CAUTIONS,
  CHANGING_STAGES,
  CONDITIONS,
  referenceOf,
  STYLES,
  VOICE_TYPES,
  type VoiceFile,
} from '../voice/index.ts';
import { exercises } from './routine-context.ts';

const GOALS = [...new Set([...exercises.values()].flatMap(({ goals }) => goals))];

/** Voices of every type and age, measured or not, with zones and cautions. */
const voices: fc.Arbitrary<VoiceFile> = fc
  .record({
    type: fc.constantFrom(...VOICE_TYPES),
    style: fc.constantFrom(...STYLES),
    goals: fc.uniqueArray(fc.constantFrom(...GOALS), { maxLength: 3 }),
    age: fc.integer({ min: 4, max: 90 }),
    changingStage: fc.constantFrom(...CHANGING_STAGES),
    low: fc.integer({ min: -4, max: 4 }),
    high: fc.integer({ min: -6, max: 6 }),
    isMeasured: fc.boolean(),
    zone: fc.option(fc.integer({ min: 0, max: 18 }), { nil: undefined }),
    cautions: fc.uniqueArray(fc.constantFrom(...CAUTIONS), { maxLength: 2 }),
  })
  .map(({ low, high, isMeasured, zone, age, changingStage, ...file }) => {
    const isYoung = file.type === 'treble' || file.type === 'changing';
    const aged: VoiceFile = {
      ...file,
      bridges: [],
      avoid: [],
      age: isYoung ? 4 + (age % 12) : 14 + (age % 77),
      ...(file.type === 'changing' && { changingStage }),
    };
    const { comfortable } = referenceOf(aged);
    const bottom = comfortable.low + low;
    const top = Math.max(bottom + 4, comfortable.high + high);
    const measured = { low: bottom, high: top, reachLow: bottom - 2, reachHigh: top + 3, date: '2026-10-20' };
    const at = comfortable.low + (zone ?? 0);
    return {
      ...aged,
      ...(isMeasured && { measured }),
      ...(zone !== undefined && { avoid: [{ low: at, high: at + 1, kind: 'never-sounded' as const }] }),
    };
  });

/** Every mixture of answers to the questions on which schools differ. */
export const approaches: fc.Arbitrary<Record<string, string>> = fc.record(
  Object.fromEntries(Object.entries(APPROACH_CHOICES).map(([question, all]) => [question, fc.constantFrom(...all)])),
);

/** Days on which a routine may be drafted: any voice, condition, kind, school, 2 to 60 minutes, near a performance or not. */
export const draftDays: fc.Arbitrary<DraftContext> = fc
  .record({
    voice: voices,
    conditions: fc.uniqueArray(fc.constantFrom(...CONDITIONS), { maxLength: 3 }),
    kind: fc.constantFrom(...ROUTINE_KINDS),
    approach: approaches,
    minutes: fc.integer({ min: 2, max: 60 }),
    seed: fc.integer({ min: 0, max: 1_000_000 }),
    hoursToPerformance: fc.option(fc.integer({ min: 1, max: 120 }), { nil: undefined }),
    known: fc.uniqueArray(fc.constantFrom(...exercises.keys()), { maxLength: 40 }),
  })
  .map(({ known, hoursToPerformance, ...day }) => ({
    ...day,
    exercises,
    now: '2026-11-25T10:00:00Z',
    occasion: occasionOf(day.kind),
    known: new Set(known),
    ...(hoursToPerformance !== undefined && { hoursToPerformance }),
  }));
