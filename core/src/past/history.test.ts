import { contextOf, exercises } from '../testing/routine-context.ts';
import { layRoutine } from '../routine/index.ts';
import { historyOf, weightedMinutes, type Mark, type PastExercise, type PastRun } from './index.ts';

const TODAY = '2026-11-25';
const past = (exerciseId: string, change: Partial<PastExercise> = {}): PastExercise => ({
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
const run = (date: string, ids: readonly (string | PastExercise)[], ease: number | null = null): PastRun => ({
  date,
  ease,
  exercises: ids.map((id) => (typeof id === 'string' ? past(id) : id)),
});
const history = (...runs: readonly PastRun[]): ReturnType<typeof historyOf> => historyOf(runs, exercises, TODAY);

test('weighted minutes: a hum weighs a third of a scale, belt twice as much', () => {
  // Ten beats of 1 s at nine beats a pattern that are all voiced, and one that lasts two: 10 · 10 s = 100 s.
  const of = (id: string): number => history(run(TODAY, [id])).weekMinutes ?? 0;
  expect(of('up-and-down-five')).toBeCloseTo(100 / 60);
  expect(of('lip-trill-on-five')).toBeCloseTo((0.3 * 100) / 60);
  expect(of('speech-like-call')).toBeCloseTo((2 * 50) / 60);
  expect(of('long-hiss')).toBe(0);
  const laid = layRoutine([{ id: 'a', exerciseId: 'up-and-down-five', settings: {} }], contextOf());
  expect(weightedMinutes(laid.steps)).toBeCloseTo(laid.voicedSeconds / 60);
});

test('a usual week is the mean of four, and is not said before there were four', () => {
  const weekly = ['2026-10-28', '2026-11-04', '2026-11-11', '2026-11-17'].map((date) =>
    run(date, ['up-and-down-five']),
  );
  expect(history(...weekly, run(TODAY, ['up-and-down-five']))).toMatchObject({
    weekMinutes: expect.closeTo(100 / 60) as number,
    usualWeekMinutes: expect.closeTo(100 / 60) as number,
  });
  expect(history(...weekly.slice(1)).usualWeekMinutes).toBeUndefined();
  expect(history()).toEqual({});
});

test('anything new counts from the day it was first sung', () => {
  const old = run('2026-10-01', ['long-hiss']);
  expect(history(old, run('2026-11-20', ['long-hiss'])).daysSinceAnythingNew).toBe(55);
  expect(history(old, run('2026-11-20', ['thirds'])).daysSinceAnythingNew).toBe(5);
});

const troubled = (marks: readonly Mark[], change: Partial<PastExercise> = {}): readonly PastRun[] =>
  ['2026-11-01', '2026-11-08', '2026-11-15', '2026-11-22'].map((date) =>
    run(date, [past('thirds', { marks, ...change })]),
  );

test.each<[string, readonly PastRun[], boolean]>([
  ['four bad runs at one setting', troubled(['crack']), true],
  ['four that were stopped', troubled([], { wasStopped: true }), true],
  ['three only', troubled(['crack']).slice(1), false],
  ['one of them went well', [...troubled(['crack']).slice(1), run('2026-11-23', ['thirds'])], false],
  [
    'the tempo was eased',
    [...troubled(['crack']).slice(1), run('2026-11-23', [past('thirds', { marks: ['crack'], tempo: 52 })])],
    false,
  ],
  ['an easy mark is no trouble', troubled(['easy']), false],
])('stuck: %s', (_, runs, isStuck) => {
  expect(history(...runs).stuck?.has('thirds')).toBe(isStuck);
});

test.each<[string, PastRun, number]>([
  ['as the run went', run(TODAY, ['thirds'], 4), 4],
  ['less where it gave trouble', run(TODAY, [past('thirds', { marks: ['strain'] })], 4), 3],
  ['more where it was easy, five at most', run(TODAY, [past('thirds', { marks: ['easy'] })], 5), 5],
  ['three where nobody was asked', run(TODAY, ['thirds']), 3],
])('ease: %s', (_, one, ease) => {
  expect(history(one).ease?.get('thirds')).toBe(ease);
});

test('days since grit are counted from any work with grit, and from nothing else', () => {
  expect(history(run('2026-11-20', ['up-and-down-five'])).daysSinceGrit).toBeUndefined();
  const since = history(
    run('2026-11-18', ['light-grit-on-a-short-call']),
    run('2026-11-23', ['creak-swell', 'falling-hum']),
    run(TODAY, ['idle-creak']),
  );
  expect(since.daysSinceGrit).toBe(2);
});
