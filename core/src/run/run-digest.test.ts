import { isSungByStudent, runDigest, type DigestedStep, type StepResult, type SungKey } from './index.ts';

const planned = (stepId: string, exerciseId: string, keys: number, kind = 'pattern'): DigestedStep => ({
  ...{ stepId, exerciseId, kind, seconds: 60 },
  keys: Array.from({ length: keys }),
});
const key = (stepId: string, exerciseId: string, low: number, change: Partial<SungKey> = {}): SungKey =>
  ({
    ...{ id: `${stepId}-${String(low)}`, stepId, exerciseId, tonic: low, leg: 'out', low, high: low + 7, tempo: 60 },
    ...{ zone: 'low', seconds: 10, cueSeconds: 2, outcome: 'sung', marks: [], at: '2026-11-25T10:00:00Z' },
    ...change,
  }) as SungKey;
const PLAN = [planned('a', 'hum-on-the-chord', 3), planned('b', 'long-hiss', 0, 'breath'), planned('c', 'thirds', 2)];

test.each([
  ['sung', undefined, true],
  ['sung', 'together', true],
  ['sung', 'alone', true],
  ['sung', 'shown', false],
  ['skipped', 'alone', false],
] as const)('a key that was %s with help “%s”: sung by the student %s', (outcome, help, isSung) => {
  expect(isSungByStudent({ outcome, ...(help && { help }) })).toBe(isSung);
});

test('what a run came to: planned and sung keys, its two ends, each mark once', () => {
  const keys = [
    key('a', 'hum-on-the-chord', 50, { help: 'shown' }),
    key('a', 'hum-on-the-chord', 52, { marks: ['strain', 'easy'] }),
    key('a', 'hum-on-the-chord', 54, { marks: ['easy'] }),
    key('c', 'thirds', 60, { outcome: 'skipped' }),
  ];
  const digest = runDigest(PLAN, keys, []);
  expect(digest).toMatchObject({ plannedKeys: 5, sungKeys: 2, lowest: 52, highest: 61, marks: ['easy', 'strain'] });
  // A step of which no key was sung did not happen; one without keys did.
  expect(digest.workedOn.map(({ exerciseId }) => exerciseId)).toEqual(['hum-on-the-chord', 'long-hiss']);
  expect(digest.workedOn[0]).toMatchObject({ keys: 2, beatSeconds: 2, highest: 61, tempo: 60, wasStopped: false });
});

test('manners that came without a mark are kept, each once', () => {
  const sung = ['full', 'soft', 'soft', 'softest'].map((manner, index) =>
    key('a', 'hum-on-the-chord', 50 + index, { manner, marks: manner === 'softest' ? ['breath'] : ['easy'] }),
  );
  expect(runDigest(PLAN, sung, []).workedOn[0]).toMatchObject({ manners: ['full', 'soft'] });
  expect(runDigest(PLAN, [key('a', 'hum-on-the-chord', 50)], []).workedOn[0]).not.toHaveProperty('manners');
});

test('nothing sung has no ends; what was sung beside the plan, and what was stopped, is worked on', () => {
  expect(runDigest(PLAN, [], [])).toMatchObject({ sungKeys: 0, lowest: null, highest: null, marks: [] });
  const beside = runDigest(PLAN, [key('a', 'falling-hum', 48)], [{ stepId: 'c', cause: 'pain' } as never]);
  expect(beside.workedOn.map(({ exerciseId, wasStopped }) => [exerciseId, wasStopped])).toEqual([
    ['long-hiss', false],
    ['thirds', true],
    ['falling-hum', false],
  ]);
});

test.each<[string, readonly StepResult['outcome'][] | null, boolean]>([
  ['from before there were results', null, true],
  ['done', ['done'], true],
  ['shortened', ['shortened'], true],
  ['passed over', ['passed-over'], false],
  ['not come to', [], false],
])('a step without keys that was %s', (_, outcomes, isWorkedOn) => {
  const results =
    outcomes && outcomes.map((outcome) => ({ stepId: 'b', exerciseId: 'long-hiss', outcome, seconds: 9, rounds: 1 }));
  const { workedOn } = runDigest(PLAN, [], [], results);
  expect(workedOn.some(({ exerciseId }) => exerciseId === 'long-hiss')).toBe(isWorkedOn);
});
