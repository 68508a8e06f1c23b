import { reachedIn, type ReachedSetting } from './index.ts';

type Run = Parameters<typeof reachedIn>[0][number];
type Key = Run['sung'][number];

const key = (exerciseId: string, tonic: number, change: Partial<Key> = {}): Key => ({
  exerciseId,
  tonic,
  high: tonic + 7,
  tempo: 92,
  outcome: 'sung',
  marks: [],
  ...change,
});
const run = (day: number, sung: readonly Key[], change: Partial<Run> = {}): Run => ({
  startedAt: `2026-11-${String(day)}T10:00:00Z`,
  conditions: [],
  ease: 3,
  sung,
  ...change,
});

test.each<[string, readonly Run[], Record<string, ReachedSetting>]>([
  ['no run', [], {}],
  [
    'the first key that was sung, and the highest',
    [run(20, [key('five', 62, { outcome: 'skipped' }), key('five', 62), key('five', 63, { tempo: 96 })])],
    { five: { start: 62, tempo: 92, highest: 70 } },
  ],
  ['what was passed over altogether', [run(20, [key('five', 62, { outcome: 'skipped' })])], {}],
  [
    'the latest run before an earlier one, the earlier where it alone sang something',
    [run(20, [key('five', 64, { tempo: 100 })]), run(13, [key('five', 60), key('eight', 58)])],
    { five: { start: 64, tempo: 100, highest: 71 }, eight: { start: 58, tempo: 92, highest: 65 } },
  ],
  [
    'a tired day says nothing',
    [run(20, [key('five', 57)], { conditions: ['tired'] }), run(13, [key('five', 60)])],
    { five: { start: 60, tempo: 92, highest: 67 } },
  ],
])('settings that were reached: %s', (_, runs, reached) => {
  expect(Object.fromEntries(reachedIn(runs))).toEqual(reached);
});

const plain = [key('five', 60), key('five', 61)];
const oneMiss = [key('five', 60), key('five', 61, { marks: ['crack'] })];
const easy = [key('five', 60, { marks: ['easy'] }), key('five', 61)];

test.each<[string, readonly Run[], ReachedSetting['turn']]>([
  ['easy on two days', [run(20, plain, { ease: 4 }), run(13, plain, { ease: 5 })], 'on'],
  ['marked easy on two days, the runs not asked', [run(20, easy, { ease: null }), run(13, easy, { ease: null })], 'on'],
  ['easy once', [run(20, plain, { ease: 5 }), run(13, plain)], undefined],
  ['easy for the first time', [run(20, plain, { ease: 5 })], undefined],
  ['easy twice on one day', [run(20, plain, { ease: 5 }), run(20, plain, { ease: 5 })], undefined],
  ['an easy run with a missed key', [run(20, oneMiss, { ease: 5 }), run(13, plain, { ease: 5 })], undefined],
  ['two keys missed', [run(20, [...oneMiss, key('five', 62, { marks: ['strain'] })])], 'back'],
  ['a key missed on two days', [run(20, oneMiss), run(13, oneMiss)], 'back'],
  ['a key missed the time before only', [run(20, plain), run(13, oneMiss)], undefined],
  ['two keys missed the time before, none since', [run(20, plain), run(13, [...oneMiss, ...oneMiss])], undefined],
])('which way it goes: %s', (_, runs, turn) => {
  expect(reachedIn(runs).get('five')?.turn).toBe(turn);
});
