import { exercises } from '../testing/routine-context.ts';
import { layRoutine } from '../routine/index.ts';
import { isAdultType, type VoiceFile } from '../voice/index.ts';
import { draftRoutine, type DraftCode, type DraftContext } from './index.ts';

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

/** Every ladder of a draft: where it begins, how fast, how high it goes. */
function laddersOf(
  context: DraftContext,
): readonly { id: string; stage: string; start: number; tempo: number; highest: number }[] {
  return layRoutine(draftRoutine(context).steps, context).steps.flatMap(({ exercise: { id, stage }, laid, highest }) =>
    laid?.kind === 'pattern'
      ? [{ id, stage, start: laid.input.start, tempo: laid.input.tempo, highest: highest ?? 0 }]
      : [],
  );
}

/** Last time everything began a semitone higher and eight beats faster than by itself. */
const first = laddersOf(contextOf());
const recent = [draftRoutine(contextOf()).steps.map(({ exerciseId }) => exerciseId)];
const reached = new Map(
  first.map(({ id, start, tempo, highest }) => [id, { start: start + 1, tempo: tempo + 8, highest }]),
);
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
  const tooHigh = new Map(first.map(({ id, tempo, highest }) => [id, { start: 90, tempo, highest }]));
  const again = laddersOf(contextOf({ recent, reached: tooHigh }));
  expect(again.length).toBeGreaterThanOrEqual(first.length - 2);
  for (const { start } of again) expect(start).toBeLessThan(76);
});

const SEEDS = [1, 2, 3, 4, 5, 6];
/** A draft, and the next one after a run of it that went one way in every ladder. */
function nextAfter(turn: 'on' | 'back', seed: number, change: Partial<DraftContext> = {}) {
  const before = laddersOf(contextOf({ seed }));
  const all = before.map(({ id, start, tempo, highest }) => [id, { start, tempo, highest, turn }] as const);
  const last = draftRoutine(contextOf({ seed })).steps.map(({ exerciseId }) => exerciseId);
  const context = contextOf({ seed, recent: [last], reached: new Map(all), ...change });
  const { steps } = draftRoutine(context);
  const said = (...codes: readonly DraftCode[]) =>
    steps
      .filter(({ reasons }) =>
        reasons.some(({ code, values = {} }) => {
          const turned = values['turned'] as { readonly code: DraftCode } | undefined;
          return codes.includes(code) || (turned !== undefined && codes.includes(turned.code));
        }),
      )
      .map(({ exerciseId }) => exerciseId);
  const again = laddersOf(context).flatMap((ladder) => {
    const old = before.find(({ id }) => id === ladder.id);
    return old ? [{ ...ladder, faster: ladder.tempo - old.tempo, higher: ladder.highest - old.highest }] : [];
  });
  return { last, said, again };
}
const isEasierThan = (id: string, other: string): boolean =>
  exercises.get(other)?.relatives.some((one) => one.as === 'easier' && one.id === id) ?? false;

test('what was easy twice goes on: one to a harder relative, agility faster, the rest for more keys', () => {
  const all = SEEDS.map((seed) => nextAfter('on', seed));
  for (const { last, said, again } of all) {
    const harder = said('draft.goes-on');
    expect(harder.length).toBeLessThanOrEqual(1);
    for (const id of harder) expect(last.some((one) => isEasierThan(one, id))).toBe(true);
    for (const { id, faster } of again) expect([id, faster]).toEqual([id, said('draft.faster').includes(id) ? 4 : 0]);
  }
  for (const code of ['draft.goes-on', 'draft.faster', 'draft.more-keys'] as const)
    expect(all.filter(({ said }) => said(code).length > 0).length).toBeGreaterThanOrEqual(2);
});

test.each<[string, Partial<DraftContext>]>([
  ['a tired day', { conditions: ['tired'] }],
  ['the day of a performance', { occasion: 'performance' }],
])('nothing goes on on %s', (_, change) => {
  const all = SEEDS.map((seed) => nextAfter('on', seed, change));
  expect(all.flatMap(({ said }) => said('draft.goes-on', 'draft.faster', 'draft.more-keys'))).toEqual([]);
  for (const { id, faster } of all.flatMap(({ again }) => again)) expect([id, faster]).toEqual([id, 0]);
});

test('what was marked twice comes back as its easier relative, not as high, or slower', () => {
  const all = SEEDS.map((seed) => nextAfter('back', seed));
  for (const { last, said } of all)
    for (const id of said('draft.instead-of')) expect(last.some((one) => isEasierThan(id, one))).toBe(true);
  expect(all.flatMap(({ said }) => said('draft.instead-of')).length).toBeGreaterThanOrEqual(2);
  const again = all.flatMap((one) => one.again);
  expect(again.length).toBeGreaterThanOrEqual(2);
  for (const { id, stage, faster, higher } of again)
    expect([id, stage === 'agility' ? faster < 0 : higher <= -2]).toEqual([id, true]);
});

test.each([1, 2, 3, 4, 5])('a child of eight gets work made for the young first (seed %i)', (seed) => {
  const voice: VoiceFile = { type: 'treble', style: 'choral', goals: [], bridges: [], avoid: [], age: 8 };
  const young = draftRoutine(contextOf({ voice, seed, minutes: 10 })).steps.filter(({ exerciseId }) => {
    const { voices = [] } = exercises.get(exerciseId) ?? {};
    return voices.length > 0 && !voices.some(isAdultType);
  });
  expect(young.length).toBeGreaterThanOrEqual(3);
});
