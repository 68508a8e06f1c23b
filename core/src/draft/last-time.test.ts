import { exercises } from '../testing/routine-context.ts';
import { layRoutine } from '../routine/index.ts';
import { isAdultType, type VoiceFile } from '../voice/index.ts';
import { draftRoutine, type DraftContext } from './index.ts';

const MEZZO: VoiceFile = {
  type: 'mezzo-soprano',
  style: 'classical',
  goals: ['bridge', 'agility'],
  bridges: [],
  avoid: [],
  measured: { low: 57, high: 76, date: '2026-11-01' },
};
const contextOf = (change: Partial<DraftContext> = {}): DraftContext => ({
  voice: MEZZO,
  conditions: [],
  occasion: 'lesson',
  exercises,
  known: new Set(exercises.keys()),
  minutes: 12,
  seed: 1,
  now: '2026-11-25T10:00:00Z',
  ...change,
});

/** Every ladder of a draft: where it begins and how fast. */
function laddersOf(context: DraftContext): readonly { id: string; start: number; tempo: number }[] {
  return layRoutine(draftRoutine(context).steps, context).steps.flatMap(({ exercise, laid }) =>
    laid?.kind === 'pattern' ? [{ id: exercise.id, start: laid.input.start, tempo: laid.input.tempo }] : [],
  );
}

/** Last time everything began a semitone higher and eight beats faster than by itself. */
const first = laddersOf(contextOf());
const recent = [draftRoutine(contextOf()).steps.map(({ exerciseId }) => exerciseId)];
const reached = new Map(first.map(({ id, start, tempo }) => [id, { start: start + 1, tempo: tempo + 8 }]));
const back = (change: Partial<DraftContext>) =>
  laddersOf(contextOf({ recent, reached, ...change })).filter(({ id }) => reached.has(id));

test('what comes back has the start and the tempo that the last run reached', () => {
  const again = back({});
  const taken = again.filter(({ id, start }) => start === reached.get(id)?.start);
  expect(taken.length).toBeGreaterThanOrEqual(2);
  // Where the voice has too few keys from there, and in the cool-down, only the tempo comes back.
  for (const { id, tempo } of again) expect([id, tempo]).toEqual([id, reached.get(id)?.tempo]);
});

test.each<[string, Partial<DraftContext>]>([
  ['on a tired day', { conditions: ['tired'] }],
  ['on a heavy morning', { conditions: ['heavy'] }],
])('%s last time’s start does not bind', (_, change) => {
  const again = back(change);
  expect(again.length).toBeGreaterThanOrEqual(1);
  for (const { id, start } of again) expect([id, start]).not.toEqual([id, reached.get(id)?.start]);
});

test('what this voice could not begin from is begun where it can', () => {
  const tooHigh = new Map(first.map(({ id, tempo }) => [id, { start: 90, tempo }]));
  const again = laddersOf(contextOf({ recent, reached: tooHigh }));
  expect(again.length).toBeGreaterThanOrEqual(first.length - 2);
  for (const { start } of again) expect(start).toBeLessThan(76);
});

test.each([1, 2, 3, 4, 5])('a child of eight gets work made for the young first (seed %i)', (seed) => {
  const voice: VoiceFile = { type: 'treble', style: 'choral', goals: [], bridges: [], avoid: [], age: 8 };
  const young = draftRoutine(contextOf({ voice, seed, minutes: 10 })).steps.filter(({ exerciseId }) => {
    const { voices = [] } = exercises.get(exerciseId) ?? {};
    return voices.length > 0 && !voices.some(isAdultType);
  });
  expect(young.length).toBeGreaterThanOrEqual(3);
});
