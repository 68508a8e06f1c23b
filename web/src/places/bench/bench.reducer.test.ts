import { shippedExercises, type RoutinePatch } from '@soft-lark/core';
import fc from 'fast-check';
import { benchReducer, startBench, type BenchAction, type BenchState, type EditedRoutine } from './bench.reducer.ts';

const shelf = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));
const step = (id: string, exerciseId = id) => ({ id, exerciseId, settings: {} });
const ROUTINE: EditedRoutine = {
  name: 'Ten minutes',
  kind: 'lesson',
  minutes: 10,
  steps: ['standing-check', 'long-hiss', 'up-and-down-five', 'falling-hum'].map((id) => step(id)),
};

const after = (...actions: BenchAction[]): BenchState => actions.reduce(benchReducer, startBench({ routine: ROUTINE }));
const patch = (...patches: RoutinePatch[]): BenchAction => ({ type: 'patch', what: 'a change', patches });
const order = ({ routine }: BenchState): string => routine.steps.map(({ id }) => id).join(' ');

test.each<[string, BenchAction, string]>([
  [
    'a step goes where its stage belongs',
    { type: 'add', steps: [step('z-on-five')], shelf },
    'standing-check long-hiss z-on-five up-and-down-five falling-hum',
  ],
  [
    'the first of all',
    { type: 'add', steps: [step('shoulder-rolls')], shelf },
    'standing-check shoulder-rolls long-hiss up-and-down-five falling-hum',
  ],
  [
    'a step is moved',
    patch({ op: 'move', stepId: 'falling-hum', to: 0 }),
    'falling-hum standing-check long-hiss up-and-down-five',
  ],
  ['a step is removed', patch({ op: 'remove', stepId: 'long-hiss' }), 'standing-check up-and-down-five falling-hum'],
  [
    'a step that is not there changes nothing',
    patch({ op: 'remove', stepId: 'nothing' }),
    'standing-check long-hiss up-and-down-five falling-hum',
  ],
])('%s', (_, action, expected) => {
  expect(order(after(action))).toBe(expected);
  expect(after(action, { type: 'undo' }).routine).toEqual(ROUTINE);
});

test('patches are one change with its words; pins of several steps are one too; both are taken back', () => {
  const what = 'fit to 7 minutes';
  const fitted = after({
    type: 'patch',
    what,
    patches: [
      { op: 'minutes', minutes: 7 },
      { op: 'steps', steps: ROUTINE.steps.slice(1) },
    ],
  });
  expect([fitted.routine.minutes, order(fitted)]).toEqual([7, 'long-hiss up-and-down-five falling-hum']);
  expect(fitted.past.map(({ action }) => action)).toEqual([expect.objectContaining({ type: 'patch', what })]);
  expect(benchReducer(fitted, { type: 'undo' }).routine).toEqual(ROUTINE);
  const pinned = after(patch({ op: 'lock', stepIds: ['long-hiss', 'falling-hum'], isLocked: true }));
  expect(pinned.routine.steps.map(({ locked = false }) => locked)).toEqual([false, true, false, true]);
  expect(pinned.past).toHaveLength(1);
  expect(benchReducer(pinned, { type: 'undo' }).routine).toEqual(ROUTINE);
});

test('settings are set and given back to the exercise', () => {
  const set = after({ type: 'set', stepId: 'up-and-down-five', settings: { start: 60 } });
  expect(set.routine.steps[2]?.settings).toEqual({ start: 60 });
  const cleared = benchReducer(set, { type: 'set', stepId: 'up-and-down-five', settings: {}, clear: ['start'] });
  expect(cleared.routine.steps[2]?.settings).toEqual({});
});

test('a name that is typed letter by letter is undone as one', () => {
  const typed = after({ type: 'name', name: 'S' }, { type: 'name', name: 'Sl' }, { type: 'name', name: 'Slow' });
  expect(typed.past).toHaveLength(1);
  expect(benchReducer(typed, { type: 'undo' }).routine.name).toBe('Ten minutes');
});

test('what is there now, taken from another window, has no past', () => {
  const taken = after({ type: 'minutes', minutes: 12 }, { type: 'replace', routine: { ...ROUTINE, minutes: 20 } });
  expect([taken.routine.minutes, taken.past.length]).toEqual([20, 0]);
});

test('undo takes everything back and redo does it again, whatever was done', () => {
  const ids = fc.constantFrom('standing-check', 'long-hiss', 'up-and-down-five', 'falling-hum');
  const actions: fc.Arbitrary<BenchAction> = fc.oneof(
    fc.record({ op: fc.constant('move' as const), stepId: ids, to: fc.integer({ min: 0, max: 3 }) }).map(patch),
    fc.record({ op: fc.constant('remove' as const), stepId: ids }).map(patch),
    fc.record({ op: fc.constant('swap' as const), stepId: ids, exerciseId: fc.constant('thirds') }).map(patch),
    fc.record({ op: fc.constant('lock' as const), stepIds: fc.uniqueArray(ids), isLocked: fc.boolean() }).map(patch),
    fc
      .record({ op: fc.constant('shift' as const), stepIds: fc.uniqueArray(ids), by: fc.constantFrom(-1 as const, 1) })
      .map(patch),
    fc.record({ type: fc.constant('minutes' as const), minutes: fc.integer({ min: 1, max: 60 }) }),
    fc.record({
      type: fc.constant('set' as const),
      stepId: ids,
      settings: fc.record({ tempo: fc.integer({ min: 40, max: 160 }) }),
    }),
  );
  fc.assert(
    fc.property(fc.array(actions, { maxLength: 12 }), (list) => {
      const done = after(...list);
      const times = (state: BenchState, type: 'undo' | 'redo'): BenchState =>
        Array.from({ length: 12 }, () => ({ type })).reduce(benchReducer, state);
      const undone = times(done, 'undo');
      expect(undone.routine).toEqual(ROUTINE);
      expect(times(undone, 'redo').routine).toEqual(done.routine);
    }),
    { numRuns: 300 },
  );
});

test('two hundred undo steps: changes are taken back to the first and done again to the last', () => {
  const steps = ROUTINE.steps.map(({ id }) => id);
  const actions = Array.from({ length: 300 }, (_, index): BenchAction => {
    const stepId = steps[index % steps.length] ?? '';
    if (index % 3 === 0) return { type: 'set', stepId, settings: { tempo: 60 + index } };
    return index % 3 === 1
      ? patch({ op: 'move', stepId, to: (index * 7) % steps.length })
      : { type: 'minutes', minutes: 1 + (index % 60) };
  });
  const done = after(...actions);
  let state = done;
  while (state.past.length > 0) state = benchReducer(state, { type: 'undo' });
  expect(state.routine).toEqual(ROUTINE);
  while (state.future.length > 0) state = benchReducer(state, { type: 'redo' });
  expect(state.routine).toEqual(done.routine);
  expect(done.past.length).toBeGreaterThanOrEqual(200);
});
