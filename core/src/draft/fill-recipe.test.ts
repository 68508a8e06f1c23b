import { occasionOf } from '../day/index.ts';
import { STAGES } from '../limits/index.ts';
import { shippedExercises } from '../shelf/index.ts';
import type { VoiceFile } from '../voice/index.ts';
import { reviewRoutine } from '../review/index.ts';
import { layRoutine, shapeFor, type LaidStep, type RoutineContext, type RoutineStep } from '../routine/index.ts';
import { fillRecipe, isMadeFor, RECIPES } from './index.ts';

const exercises = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));
const file = (
  type: VoiceFile['type'],
  [low, high]: readonly [number, number],
  more: Partial<VoiceFile> = {},
): VoiceFile => ({
  ...{ type, style: 'classical', goals: [], bridges: [], avoid: [] },
  measured: { low, high, date: '2026-11-01' },
  ...more,
});
const VOICES: Readonly<Record<string, VoiceFile>> = {
  mezzo: file('mezzo-soprano', [57, 76], { age: 36, bridges: [{ low: 64, high: 65, date: '2026-11-01' }] }),
  belter: file('soprano', [58, 79], { age: 24, style: 'theatre', goals: ['belt'] }),
  bass: file('bass', [40, 61], { age: 45, goals: ['line'] }),
  child: file('treble', [60, 73], { age: 7 }),
  changing: file('changing', [52, 65], { changingStage: 'third', age: 13 }),
  older: file('baritone', [43, 64], { age: 71 }),
};

const contextFor = (voice: VoiceFile, conditions: RoutineContext['conditions'] = []): RoutineContext => ({
  voice,
  conditions,
  occasion: 'lesson',
  exercises,
  known: new Set(exercises.keys()),
  now: '2026-11-25T15:00:00Z',
});
let next = 0;
const newId = (): string => `step-${String((next += 1))}`;

const asStep = ({ id, exercise, settings }: LaidStep): RoutineStep => ({ id, exerciseId: exercise.id, settings });

test('every ready-made routine has a name and parts of its own', () => {
  expect(RECIPES).toHaveLength(20);
  expect(new Set(RECIPES.map(({ id }) => id)).size).toBe(20);
  for (const { parts, minutes } of RECIPES) expect(parts.length).toBeLessThanOrEqual(shapeFor(minutes).most);
});

describe.each(Object.entries(VOICES))('for a %s', (_, voice) => {
  test.each(RECIPES.map((recipe) => [recipe.name, recipe] as const))(
    '%s is whole, in order and within its minutes',
    (__, recipe) => {
      for (const conditions of [[], ['tired'], ['heavy']] as const) {
        const context = { ...contextFor(voice, conditions), occasion: occasionOf(recipe.kind) };
        const laid = layRoutine(fillRecipe(recipe, context, newId), context);
        expect(laid.seconds).toBeLessThanOrEqual(recipe.minutes * 60);
        expect(laid.steps.length).toBeGreaterThanOrEqual(2);
        expect(laid.steps.filter(({ problem }) => problem)).toEqual([]);
        const wanted = recipe.parts.map(({ stage }) => stage);
        const stages = laid.steps.map(({ exercise }) => exercise.stage);
        expect(stages.every((stage) => wanted.includes(stage))).toBe(true);
        if (wanted.at(-1) === 'cool') expect(stages.at(-1)).toBe('cool');
        const said = reviewRoutine({
          ...context,
          kind: recipe.kind,
          steps: laid.steps.map(asStep),
          minutes: recipe.minutes,
        });
        const grave = said.filter(
          ({ severity }) => severity === 'stop' || (severity === 'warn' && conditions.length === 0),
        );
        if (isMadeFor(recipe, voice)) expect(grave.map(({ id }) => id)).toEqual([]);
        expect(new Set(laid.steps.map(({ exercise }) => exercise.id)).size).toBe(laid.steps.length);
        for (const { exercise } of laid.steps) {
          if (recipe.noise === 'quiet') expect(['silent', 'quiet']).toContain(exercise.noise);
          expect(STAGES).toContain(exercise.stage);
        }
      }
    },
  );
});

test('what the student knows is preferred, and nothing comes before what it needs', () => {
  const recipe = RECIPES.find(({ id }) => id === 'lesson-12');
  if (!recipe) throw new Error('no such recipe');
  const mezzo = VOICES['mezzo'];
  if (!mezzo) throw new Error('no such voice');
  const known = new Set(['tongue-trill-on-five', 'z-sirens', 'hum-glides', 'thirds']);
  const filled = fillRecipe(recipe, { ...contextFor(mezzo), known }, newId).map(({ exerciseId }) => exerciseId);
  expect(filled).toEqual(expect.arrayContaining(['tongue-trill-on-five', 'thirds']));
  for (const [index, id] of filled.entries())
    for (const need of exercises.get(id)?.needs ?? [])
      expect([id, need, known.has(need) || filled.slice(0, index).includes(need)]).toEqual([id, need, true]);
});

test('within three days of a performance nothing new is begun', () => {
  const recipe = RECIPES.find(({ id }) => id === 'short');
  const mezzo = VOICES['mezzo'];
  if (!recipe || !mezzo) throw new Error('not there');
  const known = new Set(['hum-glides', 'falling-hum']);
  const filled = (hoursToPerformance: number): readonly string[] =>
    fillRecipe(recipe, { ...contextFor(mezzo), known, hoursToPerformance }, newId).map(({ exerciseId }) => exerciseId);
  const isNew = (id: string): boolean => !known.has(id);
  const gentle = filled(60)
    .filter(isNew)
    .map((id) => exercises.get(id));
  expect(filled(60)).toEqual(expect.arrayContaining([...known]));
  expect(gentle.every((one) => one !== undefined && one.load <= 1 && one.level === 'first')).toBe(true);
  expect(
    filled(100)
      .filter(isNew)
      .some((id) => (exercises.get(id)?.load ?? 0) > 1),
  ).toBe(true);
});

test.each([
  ['young-voice', 'child', 'bass'],
  ['older-voice', 'older', 'mezzo'],
  ['changing-voice', 'changing', 'child'],
  ['heavy-style', 'belter', 'mezzo'],
  ['long-and-high', 'bass', 'child'],
] as const)('%s is made for a %s, and not for a %s', (id, whom, other) => {
  const recipe = RECIPES.find((one) => one.id === id);
  const madeFor = (name: string): boolean | undefined => recipe && VOICES[name] && isMadeFor(recipe, VOICES[name]);
  expect([madeFor(whom), madeFor(other)]).toEqual([true, false]);
});
