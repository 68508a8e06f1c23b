import fc from 'fast-check';
import { exercises } from '../testing/routine-context.ts';
import { progressOf, type PastExercise, type ProgressRun } from './index.ts';

const TODAY = '2026-11-25';
const sung = (exerciseId: string, change: Partial<PastExercise> = {}): PastExercise => ({
  exerciseId,
  keys: 10,
  beatSeconds: 10,
  plannedSeconds: 60,
  tempo: 60,
  highest: 70,
  marks: [],
  wasStopped: false,
  ...change,
});
const run = (date: string, change: Partial<ProgressRun> = {}): ProgressRun => ({
  date,
  ease: null,
  exercises: [sung('up-and-down-five')],
  occasion: 'lesson',
  conditions: [],
  lowest: 57,
  highest: 72,
  plannedHighest: 74,
  ...change,
});
/** Weighted minutes of one such run: ten patterns of ten beats at a beat a second. */
const ONE = 100 / 60;
const progress = (...runs: readonly ProgressRun[]): ReturnType<typeof progressOf> => progressOf(runs, exercises, TODAY);

test('nobody who has not sung is shown anything', () => {
  expect(progress()).toEqual({ ranges: [], weeks: [], stages: [], stoodStill: [], ease: [], courses: [] });
});

test('how far it went stands beside how far it was meant to; performances and illness are told apart', () => {
  const runs = [
    run('2026-11-02'),
    run('2026-11-09', { occasion: 'performance', highest: 77 }),
    run('2026-11-16', { conditions: ['recovering'], highest: 65 }),
    run('2026-11-23', { lowest: null, highest: null }),
  ];
  expect(progress(...runs).ranges).toEqual([
    { date: '2026-11-02', lowest: 57, highest: 72, plannedHighest: 74, isOrdinary: true },
    { date: '2026-11-09', lowest: 57, highest: 77, plannedHighest: 74, isOrdinary: false },
    { date: '2026-11-16', lowest: 57, highest: 65, plannedHighest: 74, isOrdinary: false },
  ]);
});

test('how easy it was is told of every run that was asked, with what day it was', () => {
  const runs = [
    run('2026-11-02', { ease: 4 }),
    run('2026-11-09'),
    run('2026-11-16', { ease: 2, occasion: 'performance' }),
  ];
  expect(progress(...runs).ease).toEqual([
    { date: '2026-11-02', ease: 4, isOrdinary: true },
    { date: '2026-11-16', ease: 2, isOrdinary: false },
  ]);
});

test('an exercise that came on four ordinary days has a course: its tempo, or the counts of its breath', () => {
  const at = (day: number, tempo: number | null, more: Partial<ProgressRun> = {}): ProgressRun =>
    run(`2026-11-0${String(day)}`, { exercises: [sung('up-and-down-five'), sung('thirds', { tempo })], ...more });
  const breath = (most?: number) => ({
    results: [{ exerciseId: 'long-hiss', ...(most !== undefined && { most }) }],
  });
  const { courses } = progress(
    at(1, 80, breath(12)),
    at(2, 84, breath(13)),
    at(3, 90, { conditions: ['recovering'], ...breath(30) }),
    at(4, null, breath(14)),
    at(5, 88, breath()),
    at(6, 88, breath(16)),
    at(7, 92, { occasion: 'performance' }),
  );
  // What has moved comes first, however often the rest came.
  expect(courses.map(({ exerciseId }) => exerciseId)).toEqual(['thirds', 'long-hiss', 'up-and-down-five']);
  expect(courses.slice(0, 2)).toEqual([
    {
      exerciseId: 'thirds',
      figure: 'tempo',
      points: [1, 2, 5, 6].map((day, index) => ({ date: `2026-11-0${String(day)}`, value: [80, 84, 88, 88][index] })),
    },
    {
      exerciseId: 'long-hiss',
      figure: 'breath',
      points: [1, 2, 4, 6].map((day, index) => ({ date: `2026-11-0${String(day)}`, value: [12, 13, 14, 16][index] })),
    },
  ]);
});

test('weeks begin on Monday, those without a run are there, and a usual week needs four before it', () => {
  const { weeks } = progress(
    run('2026-10-18'),
    run('2026-10-19'),
    run('2026-10-28'),
    run('2026-11-23'),
    run('2026-11-24'),
  );
  expect(weeks.map(({ from }) => from)).toEqual([
    '2026-10-12',
    '2026-10-19',
    '2026-10-26',
    '2026-11-02',
    '2026-11-09',
    '2026-11-16',
    '2026-11-23',
  ]);
  expect(weeks.map(({ minutes }) => Math.round(minutes / ONE))).toEqual([1, 1, 1, 0, 0, 0, 2]);
  expect(weeks.map(({ usual }) => usual !== undefined)).toEqual([false, false, false, false, true, true, true]);
  // Two runs against a quarter of one.
  expect(weeks.at(-1)).toMatchObject({ usual: expect.closeTo(ONE / 4) as number, mark: 'light-day' });
  expect(weeks.at(-2)?.mark).toBeNull();
});

test('minutes by stage, the most first; breath weighs nothing', () => {
  const { stages } = progress(
    run('2026-11-02', { exercises: [sung('lip-trill-on-five'), sung('up-and-down-five'), sung('long-hiss')] }),
  );
  expect(stages.map(({ minutes }) => minutes)).toEqual([expect.closeTo(ONE), expect.closeTo(ONE * 0.3)]);
});

const thirds = (
  dates: readonly string[],
  change: (index: number) => Partial<PastExercise> = () => ({}),
): ProgressRun[] => dates.map((date, index) => run(date, { exercises: [sung('thirds', change(index))] }));
const FOUR = ['2026-10-30', '2026-11-06', '2026-11-13', '2026-11-20'];

test.each<[string, readonly ProgressRun[], readonly unknown[]]>([
  ['four runs in three weeks, all alike', thirds(FOUR), [{ exerciseId: 'thirds', since: '2026-10-30', runs: 4 }]],
  ['three runs', thirds(FOUR.slice(1)), []],
  ['four runs in less than three weeks', thirds(['2026-11-05', '2026-11-06', '2026-11-13', '2026-11-20']), []],
  ['one beat quicker in the last', thirds(FOUR, (index) => ({ tempo: index === 3 ? 61 : 60 })), []],
  ['a semitone higher half way', thirds(FOUR, (index) => ({ highest: index > 1 ? 71 : 70 })), []],
  [
    'counted from its last change',
    thirds(['2026-10-01', ...FOUR], (index) => ({ highest: index > 0 ? 71 : 70 })),
    [{ exerciseId: 'thirds', since: '2026-10-30', runs: 4 }],
  ],
  ['work without keys', thirds(FOUR, () => ({ tempo: null, highest: null })), []],
])('has it stood still: %s', (_, runs, expected) => {
  expect(progress(...runs).stoodStill).toEqual(expected);
});

test('the minutes of the weeks and those of the stages come to the same', () => {
  const dates = fc
    .integer({ min: 0, max: 80 })
    .map((ago) => new Date(Date.parse(TODAY) - ago * 86_400_000).toISOString().slice(0, 10));
  const ids = fc.subarray([...exercises.keys()], { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(fc.array(fc.record({ date: dates, ids }), { minLength: 1, maxLength: 12 }), (days) => {
      const runs = [...days]
        .sort((one, other) => one.date.localeCompare(other.date))
        .map(({ date, ids: sungIds }) => run(date, { exercises: sungIds.map((id) => sung(id)) }));
      const { weeks, stages } = progress(...runs);
      const total = (list: readonly { readonly minutes: number }[]): number =>
        list.reduce((sum, { minutes }) => sum + minutes, 0);
      expect(total(weeks)).toBeCloseTo(total(stages), 6);
    }),
    { numRuns: 60 },
  );
});
