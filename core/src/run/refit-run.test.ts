import fc from 'fast-check';
import { contextOf, step } from '../testing/routine-context.ts';
import { shortenedForToday } from '../fit/index.ts';
import { layRoutine, type RoutineStep } from '../routine/index.ts';
import { conduct, refitRun, startRun, type RunState } from './index.ts';

const STEPS: readonly RoutineStep[] = [
  step('standing-check'),
  step('long-hiss'),
  step('lip-trill-on-five'),
  step('hum-on-the-chord'),
  { ...step('up-and-down-five'), locked: true },
  step('thirds', { maxKeys: 4 }),
  step('falling-hum'),
];
const begin = (): RunState => startRun(layRoutine(STEPS, contextOf()));
const after = (count: number): RunState =>
  Array.from({ length: count }).reduce<RunState>(
    (state) => conduct(state, { type: 'next-step', id: '', heard: false }),
    begin(),
  );
const total = (steps: readonly { seconds: number }[]): number => steps.reduce((sum, { seconds }) => sum + seconds, 0);

test('with time enough nothing is cut', () => {
  const state = after(2);
  const left = state.steps.slice(2);
  expect(refitRun(state, STEPS, contextOf(), total(left))).toMatchObject({ steps: left, cuts: [], fits: true });
});

test('what has begun stays, the rest is shortened before anything goes; pinned, occluded and cool-down stay', () => {
  const state = conduct(after(1), { type: 'next', id: 'a' });
  const left = total(state.steps.slice(2));
  const little = refitRun(state, STEPS, contextOf(), left - 40);
  expect(little.cuts.length).toBeGreaterThan(0);
  expect(little.cuts.every(({ to }) => to > 0)).toBe(true);
  // With steps before it gone a pinned one may count among the first that stay modest; else it is as it was.
  const pinned = state.steps.find(({ exerciseId }) => exerciseId === 'up-and-down-five');
  expect(little.steps.find(({ exerciseId }) => exerciseId === 'up-and-down-five')?.seconds).toBe(pinned?.seconds);
  const tight = refitRun(state, STEPS, contextOf(), left / 2);
  expect(tight.fits).toBe(true);
  expect(tight.steps.map(({ exerciseId }) => exerciseId)).toEqual(
    expect.arrayContaining(['lip-trill-on-five', 'up-and-down-five', 'falling-hum']),
  );
  const going = conduct(state, { type: 'refit', steps: tight.steps });
  expect(going.steps.slice(0, 2)).toEqual(state.steps.slice(0, 2));
  expect(going.steps.slice(2)).toEqual(tight.steps);
});

test('whatever time is left: nothing gets longer, the cut list adds up, and it fits or says that it does not', () => {
  fc.assert(
    fc.property(fc.nat(6), fc.integer({ min: 0, max: 600 }), (done, seconds) => {
      const state = after(done);
      const before = state.steps.slice(done);
      const { steps, cuts, fits, seconds: now } = refitRun(state, STEPS, contextOf(), seconds);
      const cut = cuts.reduce((sum, { from, to }) => sum + from - to, 0);
      expect(total(before) - cut).toBeCloseTo(now);
      for (const one of steps)
        expect(one.seconds).toBeLessThanOrEqual(
          (before.find(({ stepId }) => stepId === one.stepId)?.seconds ?? 0) + 1e-6,
        );
      expect(fits).toBe(now <= seconds + 0.1);
      expect(steps.at(-1)?.exerciseId).toBe('falling-hum');
    }),
    { numRuns: 60 },
  );
});

test.each([
  ['first days after an illness', 'gentle', 5],
  ['days four to six, half of fourteen', 'middle', 7],
] as const)('%s: %s work in %d minutes, and nothing longer than it was', (_, allowance, minutes) => {
  const context = contextOf({ allowance, conditions: ['recovering'] });
  const before = new Map(layRoutine(STEPS, context).steps.map((one) => [one.id, one]));
  const { seconds, steps } = layRoutine(shortenedForToday(STEPS, minutes, context), context);
  expect(seconds).toBeLessThanOrEqual(minutes * 60);
  expect(seconds).toBeGreaterThan(minutes * 60 * 0.5);
  expect(steps.length).toBeGreaterThan(2);
  for (const { id, problem, seconds: now } of steps) {
    expect(problem).toBeUndefined();
    expect(now).toBeLessThanOrEqual((before.get(id)?.seconds ?? 0) + 1e-6);
  }
});
