import { rangeNews, type ExerciseRun } from './index.ts';

const measured = { low: 57, high: 76, reachHigh: 81, date: '2026-11-03' };
const run = (date: string, highest: number, change: Partial<ExerciseRun> = {}): ExerciseRun => ({
  ...{ date, highest, tempo: 90, ease: 5, marks: [], conditions: [], occasion: 'lesson' },
  ...change,
});

test.each<[string, readonly ExerciseRun[], number | null]>([
  ['nothing sung', [], null],
  ['one day alone', [run('2026-11-10', 78)], null],
  ['twice on one day', [run('2026-11-10', 78), run('2026-11-10', 78)], null],
  ['two days', [run('2026-11-10', 78), run('2026-11-17', 78)], 78],
  ['two days, once further', [run('2026-11-10', 79), run('2026-11-17', 77)], 77],
  ['up to the top on file', [run('2026-11-10', 76), run('2026-11-17', 76)], null],
  ['before the last check', [run('2026-10-10', 78), run('2026-11-17', 78)], null],
  ['not with ease', [run('2026-11-10', 78, { ease: 3 }), run('2026-11-17', 78)], null],
  [
    'strain up there afterwards',
    [run('2026-11-10', 78), run('2026-11-17', 78), run('2026-11-20', 77, { marks: ['strain'] })],
    null,
  ],
  [
    'strain up there before',
    [run('2026-11-05', 78, { marks: ['strain'] }), run('2026-11-10', 78), run('2026-11-17', 78)],
    78,
  ],
  ['on a tired day', [run('2026-11-10', 78, { conditions: ['tired'] }), run('2026-11-17', 78)], null],
  ['in a performance', [run('2026-11-10', 78, { occasion: 'performance' }), run('2026-11-17', 78)], null],
])('a top over the one on file: %s', (_, runs, note) => {
  expect(rangeNews(new Map([['thirds', runs]]), { measured })?.note ?? null).toBe(note);
});

test('of several exercises the days count together; without a measurement there is nothing to be over', () => {
  const runsOf = new Map([
    ['thirds', [run('2026-11-10', 78)]],
    ['turns', [run('2026-11-12', 79)]],
  ]);
  expect(rangeNews(runsOf, { measured })).toEqual({ note: 78, days: ['2026-11-10', '2026-11-12'] });
  expect(rangeNews(runsOf, {})).toBeNull();
});
