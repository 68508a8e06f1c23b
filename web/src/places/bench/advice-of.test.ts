import { layRoutine, shippedExercises, type LaidStep, type RoutineContext } from '@soft-lark/core';
import type { Schemas } from '../../api/client.ts';
import { adviceOf, type StepAdvice } from './advice-of.ts';

type Run = Schemas['ExerciseRunDto'];

const TODAY = '2026-11-25';
const CONTEXT: RoutineContext = {
  voice: {
    ...{ type: 'mezzo-soprano', style: 'theatre', goals: [], bridges: [], avoid: [] },
    measured: { low: 57, high: 76, reachLow: 55, reachHigh: 81, date: '2026-11-03' },
  },
  ...{ conditions: [], occasion: 'lesson', kind: 'lesson' },
  exercises: new Map(shippedExercises().map((exercise) => [exercise.id, exercise])),
  known: new Set(shippedExercises().map(({ id }) => id)),
  now: '2026-11-25T15:18:00Z',
};

function stepOf(exerciseId: string, settings = {}): LaidStep {
  const [step] = layRoutine([{ id: 'step', exerciseId, settings }], CONTEXT).steps;
  if (!step) throw new Error('nothing laid');
  return step;
}
const run = (date: string, change: Partial<Run> = {}): Run => ({
  ...{ date, highest: 90, tempo: 200, ease: 4, marks: [], conditions: [], occasion: 'lesson' },
  ...change,
});
const TWO = [run('2026-11-11'), run('2026-11-18')];
const of = (id: string, runs: readonly Run[], context: Partial<RoutineContext> = {}): StepAdvice | null =>
  adviceOf(stepOf(id), runs, { ...CONTEXT, ...context }, TODAY);

test('a top that was easy twice is raised by a semitone over the limit it stood at, and says when', () => {
  const { limits } = stepOf('thirds');
  expect(of('thirds', TWO)).toMatchObject({
    ...{ kind: 'ceiling', verdict: 'raise', value: (limits?.ceiling ?? 0) + 1 },
    days: ['2026-11-11', '2026-11-18'],
  });
  const set = stepOf('thirds', { ceiling: 70 });
  expect(adviceOf(set, TWO, CONTEXT, TODAY)?.value).toBe(71);
});

test('what was advised, once set, acts on the ladder', () => {
  const advised = of('thirds', TWO)?.value ?? 0;
  expect(stepOf('thirds', { ceiling: advised }).limits?.ceiling).toBe(advised);
});

test('strain takes two back from what is sung; pain freezes', () => {
  const { highest } = stepOf('thirds');
  const after = (marks: Run['marks']): StepAdvice | null => of('thirds', [...TWO, run('2026-11-20', { marks })]);
  expect(after(['strain'])).toMatchObject({ verdict: 'ease', value: (highest ?? 0) - 2 });
  expect(after(['pain'])).toMatchObject({ verdict: 'hold', reason: 'symptom' });
});

test('a hard run was hard for what was marked in it, and says nothing of the rest', () => {
  const hard = (marks: Run['marks']): StepAdvice | null =>
    of('thirds', [...TWO, run('2026-11-20', { ease: 1, highest: 40, marks })]);
  expect(hard(['tension'])).toMatchObject({ verdict: 'ease', reason: 'hard' });
  expect(hard([])).toMatchObject({ verdict: 'raise' });
});

test('quick work is made quicker, and slower again', () => {
  const id = shippedExercises().find(({ stage, work }) => stage === 'agility' && work.kind === 'pattern')?.id ?? '';
  const low = TWO.map((one) => ({ ...one, highest: 40 }));
  expect(of(id, low)).toMatchObject({ kind: 'tempo', verdict: 'raise' });
  expect(of(id, [...low, run('2026-11-20', { highest: 40, marks: ['pitch'] })])).toMatchObject({
    ...{ kind: 'tempo', verdict: 'ease', reason: 'blurred' },
  });
});

test.each([
  ['no runs', 'thirds', [], {}],
  ['a tired day', 'thirds', TWO, { conditions: ['tired' as const] }],
  ['gentle work', 'falling-hum', TWO, {}],
  ['a breath', 'long-hiss', TWO, {}],
  ['a voice that was never measured', 'thirds', TWO, { voice: { ...CONTEXT.voice, measured: undefined } as never }],
])('nothing is said of %s', (_, id, runs, context) => {
  expect(of(id, runs, context)).toBeNull();
});
