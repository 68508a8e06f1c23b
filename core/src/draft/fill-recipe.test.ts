import { occasionOf } from '../day/index.ts';
import { STAGES } from '../limits/index.ts';
import { shippedExercises } from '../shelf/index.ts';
import type { VoiceFile } from '../voice/index.ts';
import { fillRecipe, RECIPES } from './index.ts';
import { layRoutine, type RoutineContext } from '../routine/index.ts';

const exercises = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));
const plain = { style: 'classical', goals: [], bridges: [], avoid: [] } as const;
const VOICES: Readonly<Record<string, VoiceFile>> = {
  mezzo: { ...plain, type: 'mezzo-soprano', bridges: [{ low: 64, high: 65, date: '2026-11-01' }] },
  bass: { ...plain, type: 'bass', goals: ['line'] },
  child: { ...plain, type: 'treble', age: 7 },
  changing: { ...plain, type: 'changing', changingStage: 'third', age: 13 },
  older: { ...plain, type: 'baritone', age: 71 },
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

test('every ready-made routine has a name and parts of its own', () => {
  expect(RECIPES).toHaveLength(18);
  expect(new Set(RECIPES.map(({ id }) => id)).size).toBe(18);
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
  const known = new Set(['tongue-trill-on-five', 'ng-sirens', 'thirds']);
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
  const known = new Set(['z-on-five', 'falling-hum']);
  const filled = (hoursToPerformance: number): readonly string[] =>
    fillRecipe(recipe, { ...contextFor(mezzo), known, hoursToPerformance }, newId).map(({ exerciseId }) => exerciseId);
  expect(filled(60)).toEqual(['z-on-five', 'falling-hum']);
  expect(filled(100).length).toBeGreaterThan(2);
});
