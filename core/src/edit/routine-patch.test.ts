import { shippedExercises } from '../shelf/index.ts';
import { layRoutine, type RoutineContext, type RoutineStep } from '../routine/index.ts';
import { applyPatch, type RoutinePatch } from './index.ts';

const step = (id: string, settings: RoutineStep['settings'] = {}): RoutineStep => ({
  id,
  exerciseId: `of-${id}`,
  settings,
});
const routine = { minutes: 10, steps: [step('a', { tempo: 90, maxKeys: 4 }), step('b'), step('c')] };
const shown = ({ minutes, steps }: { minutes: number; steps: readonly RoutineStep[] }): string =>
  [
    minutes,
    ...steps.map(({ id, exerciseId, settings, block, locked }) =>
      [id, exerciseId, JSON.stringify(settings), ...(block ? ['in', block] : []), ...(locked ? ['pinned'] : [])].join(
        ' ',
      ),
    ),
  ].join(', ');

test.each<[string, RoutinePatch, string]>([
  ['minutes', { op: 'minutes', minutes: 7 }, '7, a of-a {"tempo":90,"maxKeys":4}, b of-b {}, c of-c {}'],
  [
    'a setting, over what is there',
    { op: 'set', stepId: 'a', settings: { tempo: 80 } },
    '10, a of-a {"tempo":80,"maxKeys":4}, b of-b {}, c of-c {}',
  ],
  [
    'a setting cleared',
    { op: 'set', stepId: 'a', settings: {}, clear: ['tempo'] },
    '10, a of-a {"maxKeys":4}, b of-b {}, c of-c {}',
  ],
  ['a step taken off', { op: 'remove', stepId: 'b' }, '10, a of-a {"tempo":90,"maxKeys":4}, c of-c {}'],
  [
    'a step added',
    { op: 'add', exerciseId: 'thirds', at: 1 },
    '10, a of-a {"tempo":90,"maxKeys":4}, new thirds {}, b of-b {}, c of-c {}',
  ],
  [
    'a step moved back',
    { op: 'move', stepId: 'c', to: 0 },
    '10, c of-c {}, a of-a {"tempo":90,"maxKeys":4}, b of-b {}',
  ],
  ['a step moved on', { op: 'move', stepId: 'a', to: 2 }, '10, b of-b {}, c of-c {}, a of-a {"tempo":90,"maxKeys":4}'],
  [
    'a swap, without what was set for the other',
    { op: 'swap', stepId: 'a', exerciseId: 'thirds' },
    '10, a thirds {}, b of-b {}, c of-c {}',
  ],
  [
    'steps pinned',
    { op: 'lock', stepIds: ['b', 'gone'], isLocked: true },
    shown(routine).replace('of-b {}', 'of-b {} pinned'),
  ],
  ['steps let go', { op: 'lock', stepIds: ['a', 'b', 'c'], isLocked: false }, shown(routine)],
  ['steps once more', { op: 'copy', stepIds: ['b', 'c'] }, `${shown(routine)}, new of-b {}, new of-c {}`],
  [
    'steps moved on together',
    { op: 'shift', stepIds: ['a', 'c'], by: 1 },
    '10, b of-b {}, a of-a {"tempo":90,"maxKeys":4}, c of-c {}',
  ],
  ['steps at the top stay there', { op: 'shift', stepIds: ['a', 'b'], by: -1 }, shown(routine)],
  [
    'a block stands where its first step stood',
    { op: 'block', stepIds: ['c', 'a'], name: 'Warm' },
    '10, a of-a {"tempo":90,"maxKeys":4} in Warm, c of-c {} in Warm, b of-b {}',
  ],
  ['a block taken apart', { op: 'block', stepIds: ['b'] }, shown(routine)],
  ['steps that are gone', { op: 'block', stepIds: ['gone'], name: 'Warm' }, shown(routine)],
  ['other steps', { op: 'steps', steps: [step('z')] }, '10, z of-z {}'],
  ['a step that is gone is passed over', { op: 'move', stepId: 'gone', to: 0 }, shown(routine)],
  ['a setting of a step that is gone', { op: 'set', stepId: 'gone', settings: { tempo: 60 } }, shown(routine)],
  ['a fit without a day changes nothing', { op: 'fit' }, shown(routine)],
])('%s', (_, patch, expected) => {
  const before = shown(routine);
  expect(shown(applyPatch(routine, patch, () => 'new'))).toBe(expected);
  expect(shown(routine)).toBe(before);
});

test('a fit on a day holds the minutes, keeps what is locked, and lets the cool-down stay', () => {
  const exercises = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));
  const context: RoutineContext = {
    voice: { type: 'tenor', style: 'classical', goals: [], bridges: [], avoid: [] },
    conditions: [],
    occasion: 'lesson',
    exercises,
    known: new Set(exercises.keys()),
    now: '2026-11-25T10:00:00Z',
  };
  const ids = ['long-hiss', 'lip-trill-on-five', 'hum-on-the-chord', 'up-and-down-five', 'thirds', 'falling-hum'];
  const steps = ids.map((id): RoutineStep => ({
    id,
    exerciseId: id,
    settings: {},
    ...(id === 'thirds' && { locked: true }),
  }));
  const whole = layRoutine(steps, context).seconds;
  expect(whole).toBeGreaterThan(300);
  const fitted = applyPatch({ steps, minutes: 5 }, { op: 'fit' }, () => 'new', context);
  const { seconds } = layRoutine(fitted.steps, context);
  expect(seconds).toBeLessThanOrEqual(300);
  expect(seconds).toBeGreaterThan(270);
  const shortest = applyPatch({ steps, minutes: 2 }, { op: 'fit' }, () => 'new', context);
  expect(shortest.steps.length).toBeLessThan(steps.length);
  expect(fitted.steps.find(({ id }) => id === 'thirds')).toEqual(steps[4]);
  expect(fitted.steps.map(({ id }) => id)).toEqual(expect.arrayContaining(['lip-trill-on-five', 'falling-hum']));
});

test('a block is put round a step and nothing else is', () => {
  const blocked = applyPatch(routine, { op: 'block', stepIds: ['b'], name: 'Warm' }, () => 'new').steps;
  expect(blocked[1]).toStrictEqual({ id: 'b', exerciseId: 'of-b', settings: {}, block: 'Warm' });
  expect(
    applyPatch({ ...routine, steps: blocked }, { op: 'block', stepIds: ['b'] }, () => 'new').steps[1],
  ).toStrictEqual({
    id: 'b',
    exerciseId: 'of-b',
    settings: {},
  });
});
