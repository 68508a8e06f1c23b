import fc from 'fast-check';
import { contextOf, exercises, step } from '../testing/routine-context.ts';
import { layRoutine } from '../routine/index.ts';
import {
  conduct,
  isReadyDue,
  refitRun,
  repairsFor,
  startRun,
  USUAL_READY_QUESTIONS,
  type Repair,
  type RunState,
} from './index.ts';

const STEPS = ['lip-trill-on-five', 'up-and-down-five', 'falling-hum'].map((id) => step(id));
const context = contextOf();

/** A run that has come so far: each step begun, its first key sung, and left. */
function runTo(stepIndex: number, steps = STEPS): RunState {
  let state = startRun(layRoutine(steps, context));
  for (let index = 0; index < stepIndex; index += 1) {
    state = conduct(state, { type: 'next', id: `a${String(index)}` });
    state = conduct(state, { type: 'next-step', id: `b${String(index)}`, heard: true });
  }
  return state;
}
const ask = (goals: readonly string[], seconds: number, state = runTo(2)): readonly Repair[] => {
  let count = 0;
  return repairsFor(goals, state, context, seconds, () => `new-${String((count += 1))}`);
};
const lengths = (repairs: readonly Repair[]): readonly (number | string)[] =>
  repairs.map((repair) => ('step' in repair ? repair.step.seconds : repair.why));

test.each<[string, RunState, boolean]>([
  ['when the cool-down is next', runTo(2), true],
  ['not before', runTo(1), false],
  ['not in the middle of it', conduct(runTo(2), { type: 'next', id: 'x' }), false],
  ['not where nothing was sung', startRun(layRoutine([step('falling-hum')], context)), false],
  ['not twice', conduct(runTo(2), { type: 'ready', steps: [] }), false],
  ['not between two of the cool-down', runTo(3, [...STEPS, step('low-straw')]), false],
  ['not in a run without one', runTo(1, STEPS.slice(0, 2)), false],
])('it is asked %s', (_, state, isDue) => {
  expect(isReadyDue(state, exercises)).toBe(isDue);
});

test('each no has one gentle block of 30 to 90 s that serves it, whatever time there is', () => {
  const goals = fc.uniqueArray(fc.constantFrom(...USUAL_READY_QUESTIONS.map(({ goal }) => goal), 'bridge', 'line'), {
    minLength: 1,
    maxLength: 3,
  });
  fc.assert(
    fc.property(goals, fc.integer({ min: -60, max: 400 }), (wanted, seconds) => {
      const repairs = ask(wanted, seconds);
      expect(repairs.map(({ goal }) => goal)).toEqual(wanted);
      let sum = 0;
      for (const repair of repairs) {
        if (!('step' in repair)) continue;
        const exercise = exercises.get(repair.step.exerciseId);
        expect(exercise?.goals).toContain(repair.goal);
        expect(exercise?.load).toBeLessThanOrEqual(2);
        expect(repair.step.seconds).toBeGreaterThanOrEqual(30);
        expect(repair.step.seconds).toBeLessThanOrEqual(90);
        sum += repair.step.seconds;
      }
      expect(sum).toBeLessThanOrEqual(Math.max(0, seconds));
      expect(new Set(repairs.map((repair) => ('step' in repair ? repair.step.exerciseId : repair.goal))).size).toBe(
        repairs.length,
      );
    }),
    { numRuns: 60 },
  );
});

test.each<[string, readonly string[], number, (found: readonly (number | string)[]) => boolean]>([
  ['no time at all', ['ease'], 20, ([one]) => one === 'no-time'],
  ['time for one of two', ['ease', 'bridge'], 55, ([one, two]) => typeof one === 'number' && two === 'no-time'],
  ['nothing on the shelf', ['no-such-goal'], 300, ([one]) => one === 'nothing-fits'],
])('%s', (_, goals, seconds, holds) => {
  expect(holds(lengths(ask(goals, seconds)))).toBe(true);
});

test('blocks come before the cool-down, and a refit leaves them', () => {
  const [repair] = ask(['bridge'], 300);
  if (!repair || !('step' in repair)) throw new Error('there is a block for the bridge');
  const state = conduct(runTo(2), { type: 'ready', steps: [repair.step] });
  expect(state.steps.map(({ exerciseId }) => exerciseId)).toEqual([
    'lip-trill-on-five',
    'up-and-down-five',
    repair.step.exerciseId,
    'falling-hum',
  ]);
  expect(state.stepIndex).toBe(2);
  const { steps } = refitRun(state, STEPS, context, repair.step.seconds + 30);
  expect(steps.map(({ exerciseId }) => exerciseId)).toEqual([repair.step.exerciseId, 'falling-hum']);
  const begun = conduct(runTo(2), { type: 'next', id: 'x' });
  expect(conduct(begun, { type: 'ready', steps: [repair.step] })).toBe(begun);
});
