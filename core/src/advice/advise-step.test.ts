import fc from 'fast-check';
import { MARKS } from '../past/index.ts';
import { CONDITIONS } from '../voice/index.ts';
import { adviseStep, type Advice, type AdvisedRun } from './index.ts';

type Input = Parameters<typeof adviseStep>[0];

const run = (date: string, reached: number, change: Partial<AdvisedRun> = {}): AdvisedRun => ({
  ...{ date, reached, ease: 4, marks: [], conditions: [], occasion: 'lesson' },
  ...change,
});
const TODAY: Input['today'] = { date: '2026-11-25', conditions: [], occasion: 'lesson' };
const of = (setting: Input['setting'], runs: readonly AdvisedRun[], more: Partial<Input> = {}): Advice =>
  adviseStep({ setting, runs, today: TODAY, ...more });
const TOP = { kind: 'ceiling', value: 71 } as const;
const EASY = [run('2026-11-11', 71), run('2026-11-18', 72, { ease: 5 })];

test.each<readonly [string, Input['setting'], readonly AdvisedRun[], Partial<Input>, Advice]>([
  ['two easy runs on two days', TOP, EASY, {}, { verdict: 'raise', value: 72, reason: 'good-runs', evidence: [0, 1] }],
  [
    'two on one day are one',
    TOP,
    [run('2026-11-18', 71), run('2026-11-18', 71)],
    {},
    { verdict: 'hold', value: 71, reason: 'not-enough', evidence: [1] },
  ],
  [
    'easy, but lower than it is set',
    TOP,
    [run('2026-11-11', 70), run('2026-11-18', 70)],
    {},
    { verdict: 'hold', value: 71, reason: 'not-enough', evidence: [] },
  ],
  [
    'nobody said how easy',
    TOP,
    EASY.map(({ date, reached, marks, conditions, occasion }) => ({ date, reached, marks, conditions, occasion })),
    {},
    { verdict: 'hold', value: 71, reason: 'not-enough', evidence: [] },
  ],
  [
    'strain in the last run',
    TOP,
    [...EASY, run('2026-11-20', 71, { marks: ['strain'] })],
    {},
    { verdict: 'ease', value: 69, reason: 'strained', evidence: [2] },
  ],
  [
    'a hard last run',
    TOP,
    [...EASY, run('2026-11-20', 71, { ease: 2 })],
    {},
    { verdict: 'ease', value: 69, reason: 'hard', evidence: [2] },
  ],
  [
    'what was good before a strain does not count any more',
    TOP,
    [...EASY, run('2026-11-20', 71, { marks: ['strain'] }), run('2026-11-22', 71)],
    {},
    { verdict: 'hold', value: 71, reason: 'not-enough', evidence: [3] },
  ],
  [
    'a performance is no evidence',
    TOP,
    EASY.map((one) => ({ ...one, occasion: 'performance' as const })),
    {},
    { verdict: 'hold', value: 71, reason: 'not-enough', evidence: [] },
  ],
  [
    'a tired day',
    TOP,
    EASY,
    { today: { ...TODAY, conditions: ['tired'] } },
    { verdict: 'hold', value: 71, reason: 'not-today', evidence: [0, 1] },
  ],
  [
    'a performance day',
    TOP,
    EASY,
    { today: { ...TODAY, occasion: 'performance' } },
    { verdict: 'hold', value: 71, reason: 'not-today', evidence: [0, 1] },
  ],
  [
    'at the measured reach',
    TOP,
    EASY,
    { reach: { low: 55, high: 71 } },
    { verdict: 'hold', value: 71, reason: 'at-reach', evidence: [0, 1] },
  ],
  [
    'past the measured reach',
    TOP,
    EASY,
    { reach: { low: 55, high: 69 } },
    { verdict: 'ease', value: 69, reason: 'past-reach', evidence: [] },
  ],
  ['at its cap', { ...TOP, cap: 71 }, EASY, {}, { verdict: 'hold', value: 71, reason: 'at-cap', evidence: [0, 1] }],
  [
    'a cough freezes it',
    TOP,
    [...EASY, run('2026-11-20', 71, { marks: ['cough', 'strain'] })],
    {},
    { verdict: 'hold', value: 71, reason: 'symptom', evidence: [2] },
  ],
  [
    'a floor goes down',
    { kind: 'floor', value: 58 },
    [run('2026-11-11', 58), run('2026-11-18', 57)],
    {},
    { verdict: 'raise', value: 57, reason: 'good-runs', evidence: [0, 1] },
  ],
  [
    'a floor comes up',
    { kind: 'floor', value: 58 },
    [run('2026-11-18', 58, { marks: ['strain'] })],
    {},
    { verdict: 'ease', value: 60, reason: 'strained', evidence: [0] },
  ],
  [
    'a count more on the way out',
    { kind: 'out-count', value: 12 },
    [run('2026-11-11', 12), run('2026-11-18', 14)],
    {},
    { verdict: 'raise', value: 13, reason: 'good-runs', evidence: [0, 1] },
  ],
  [
    'two seconds more of a hold, never past its cap',
    { kind: 'hold-seconds', value: 8, cap: 9 },
    [run('2026-11-11', 8), run('2026-11-18', 8)],
    {},
    { verdict: 'hold', value: 8, reason: 'at-cap', evidence: [0, 1] },
  ],
  [
    'dizziness takes a quarter',
    { kind: 'out-count', value: 14 },
    [run('2026-11-18', 14, { marks: ['dizzy'] })],
    {},
    { verdict: 'ease', value: 10, reason: 'dizzy', evidence: [0] },
  ],
  [
    'clean runs are quicker',
    { kind: 'tempo', value: 92 },
    [run('2026-11-11', 92), run('2026-11-18', 96)],
    {},
    { verdict: 'raise', value: 96, reason: 'good-runs', evidence: [0, 1] },
  ],
  [
    'a blurred one goes back',
    { kind: 'tempo', value: 92 },
    [run('2026-11-18', 92, { marks: ['pitch'] })],
    {},
    { verdict: 'ease', value: 84, reason: 'blurred', evidence: [0] },
  ],
  ['nothing yet', TOP, [], {}, { verdict: 'hold', value: 71, reason: 'not-enough', evidence: [] }],
  [
    'runs out of order, and one of a day to come',
    TOP,
    [run('2026-12-24', 71, { marks: ['strain'] }), ...[...EASY].reverse()],
    {},
    { verdict: 'raise', value: 72, reason: 'good-runs', evidence: [2, 1] },
  ],
])('%s', (_, setting, runs, more, expected) => {
  expect(of(setting, runs, more)).toEqual(expected);
});

test('whatever was sung: never past reach or cap, never raised on a weak day, and it rests on runs that are there', () => {
  const runs = fc.array(
    fc.record({
      date: fc.integer({ min: 1, max: 28 }).map((day) => `2026-11-${String(day).padStart(2, '0')}`),
      reached: fc.integer({ min: 55, max: 90 }),
      ease: fc.integer({ min: 1, max: 5 }),
      marks: fc.subarray([...MARKS]),
      conditions: fc.subarray([...CONDITIONS]),
      occasion: fc.constantFrom('lesson' as const, 'home' as const, 'performance' as const),
    }),
    { maxLength: 12 },
  );
  const given = fc.record({
    value: fc.integer({ min: 60, max: 84 }),
    high: fc.integer({ min: 62, max: 86 }),
    conditions: fc.subarray([...CONDITIONS]),
    runs,
  });
  fc.assert(
    fc.property(given, ({ value, high, conditions, runs: past }) => {
      const advice = of({ kind: 'ceiling', value, cap: 80 }, past, {
        reach: { low: 50, high },
        today: { ...TODAY, conditions },
      });
      expect(advice.value).toBeLessThanOrEqual(Math.max(high, Math.min(value, high)));
      if (advice.verdict === 'raise') {
        expect(advice.value).toBeLessThanOrEqual(80);
        expect(conditions).not.toContain('tired');
        expect(conditions).not.toContain('recovering');
      }
      for (const index of advice.evidence) expect(past[index]).toBeDefined();
    }),
  );
});
