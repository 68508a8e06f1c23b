import {
  isTooYoungForBelt,
  layRoutine,
  neverSounded,
  resolveLimits,
  shippedExercises,
  USUAL_RULES,
  voiceOf,
  writeNote,
  type Condition,
  type LimitContext,
} from '@soft-lark/core';
import { DEMO_STUDENTS, type DemoStudent } from './tern-lock.data.ts';

const MIDDLE: LimitContext['exercise'] = { stage: 'middle', register: 'mixed' };

function named(name: string): DemoStudent {
  const found = DEMO_STUDENTS.find((student) => student.name === name);
  if (!found) throw new Error(`no ${name}`);
  return found;
}

function limits(name: string, change: Partial<LimitContext>): string {
  const { voice } = named(name);
  const { floor, ceiling } = resolveLimits({
    voice: voiceOf(voice),
    style: voice.style,
    exercise: MIDDLE,
    sungSteps: 2,
    conditions: [],
    occasion: 'lesson',
    now: '2026-11-25T15:00:00Z',
    ...change,
  });
  return `${writeNote(floor)}–${writeNote(ceiling)}`;
}

/** Worked out by hand from the voice files: plain, as the first sung step, tired, at home, occluded, in heavy register. */
test.each<[string, ...string[]]>([
  ['Pip Anstey', 'C4–D♭5', 'C4–A4', 'C4–B4', 'D♭4–C5', 'B♭3–E5', 'C4–A4'],
  ['Maud Pellow', 'B♭3–E♭5', 'B♭3–B4', 'B♭3–D♭5', 'B3–D5', 'A♭3–F♯5', 'B♭3–A4'],
  ['Corwin Dace', 'F2–D♭4', 'F2–A3', 'F2–B3', 'F♯2–C4', 'E♭2–E4', 'F2–D♭4'],
  ['Tamsin Orrock', 'D♭4–A♭5', 'D♭4–E5', 'D♭4–F♯5', 'D4–G5', 'B3–B5', 'D♭4–A4'],
  ['Idris Fallow', 'A♭3–F4', 'A♭3–E♭4', 'A♭3–E4', 'A3–F4', 'A♭3–F4', 'A♭3–F4'],
  ['Juniper Vance', 'B♭3–D♭5', 'B♭3–A4', 'B♭3–B4', 'B3–C5', 'A3–E5', 'B♭3–A4'],
  ['Otis Wren', 'E♭3–E4', 'E♭3–C4', 'E♭3–D4', 'E3–E♭4', 'D♭3–G4', 'E♭3–E4'],
])('the limits of %s', (name, plain, first, tired, home, occluded, heavy) => {
  expect(limits(name, {})).toBe(plain);
  expect(limits(name, { sungSteps: 0 })).toBe(first);
  expect(limits(name, { conditions: ['tired'] })).toBe(tired);
  expect(limits(name, { occasion: 'home' })).toBe(home);
  expect(limits(name, { exercise: { ...MIDDLE, stage: 'occluded' } })).toBe(occluded);
  expect(limits(name, { exercise: { ...MIDDLE, register: 'heavy' } })).toBe(heavy);
});

const CONDITIONS: readonly (readonly Condition[])[] = [[], ['fresh'], ['heavy'], ['tired'], ['recovering', 'tired']];
const exercises = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));

test.each(DEMO_STUDENTS.map(({ name }) => [name]))(
  'every exercise laid for %s stays inside its limits and out of every zone, on every kind of day',
  (name) => {
    const { voice } = named(name);
    const zones = neverSounded(voice);
    for (const conditions of CONDITIONS) {
      const { steps } = layRoutine(
        [...exercises.keys()].map((id) => ({ id, exerciseId: id, settings: {} })),
        { voice, conditions, occasion: 'lesson', exercises, known: new Set(), now: '2026-11-25T15:00:00Z' },
      );
      for (const { laid, limits: own, problem, exercise } of steps) {
        if (exercise.register === 'heavy' && isTooYoungForBelt(voiceOf(voice), USUAL_RULES))
          expect(problem?.code).toBe('NOT_FOR_YOUNG_VOICES');
        const rungs = laid?.kind === 'pattern' ? laid.ladder.rungs : [];
        for (const { tonic, low, high } of rungs) {
          expect(low >= (own?.floor ?? Infinity) && high <= (own?.ceiling ?? -Infinity)).toBe(true);
          const sounded = laid?.kind === 'pattern' ? laid.pattern.events.filter(({ kind }) => kind === 'note') : [];
          const notes = sounded.map(({ from }) => tonic + (from ?? 0));
          expect(zones.some((zone) => notes.some((note) => note >= zone.low && note <= zone.high))).toBe(false);
        }
      }
    }
  },
);
