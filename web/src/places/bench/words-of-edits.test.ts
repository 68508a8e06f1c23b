import { layRoutine, shippedExercises, type Finding, type RoutineStep, type StepSettings } from '@soft-lark/core';
import { text } from '../../text/i18n.ts';
import { actionWords, stepWords } from './action-words.ts';
import type { BenchAction } from './bench.reducer.ts';
import { tonicsToAdd, without } from './keys-by-hand.ts';
import { marksOf } from './marks-of.ts';

const shelf = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));
const step = (settings: StepSettings = {}, change: Partial<RoutineStep> = {}): RoutineStep => ({
  id: 'a',
  exerciseId: 'thirds',
  settings,
  ...change,
});
const routine = { name: 'Warm-up', kind: 'lesson' as const, minutes: 10, steps: [{ ...step(), settings: {} }] };
const t = text.t.bind(text);

test.each<[string, BenchAction, string]>([
  ['minutes', { type: 'minutes', minutes: 12 }, '12 min'],
  ['a name', { type: 'name', name: 'Other' }, 'rename the routine'],
  ['a kind', { type: 'kind', kind: 'home' }, 'change what it is for'],
  ['what another window changed', { type: 'merge', routine, theirs: routine }, 'bring in what another window changed'],
  ['a patch, by its own words', { type: 'patch', what: 'fit to 8 minutes', patches: [] }, 'fit to 8 minutes'],
  ['a step that is added', { type: 'add', steps: [step()], shelf }, 'add Thirds'],
  [
    'a step of an exercise that is gone',
    { type: 'add', steps: [step({}, { exerciseId: 'gone' })], shelf },
    'add a step',
  ],
  ['a tempo', { type: 'set', stepId: 'a', settings: { tempo: 92 } }, 'Thirds: tempo 92'],
  ['a start, by its note', { type: 'set', stepId: 'a', settings: { start: 60 } }, 'Thirds: start C4'],
  [
    'keys left out, by their notes',
    { type: 'set', stepId: 'a', settings: { struck: [60, 62] } },
    'Thirds: keys left out C4 D4',
  ],
  ['a setting put back', { type: 'set', stepId: 'a', settings: {}, clear: ['tempo'] }, 'Thirds: tempo as usual'],
  ['taking back has no words', { type: 'undo' }, ''],
])('what was done, in words: %s', (_, action, words) => {
  expect(actionWords(action, routine, shelf, t)).toBe(words);
});

test.each<[string, RoutineStep, RoutineStep, string]>([
  ['nothing', step(), step(), ''],
  ['a setting', step({ tempo: 80 }), step({ tempo: 92 }), 'tempo 92'],
  ['a setting taken back', step({ tempo: 80 }), step(), 'tempo as usual'],
  ['two settings', step(), step({ tempo: 92, start: 62 }), 'start D4, tempo 92'],
  ['a pin', step(), step({}, { locked: true }), 'pinned'],
  ['a pin taken out', step({}, { locked: true }), step(), 'not pinned'],
  ['a block', step(), step({}, { block: 'Warm' }), 'in the block “Warm”'],
  ['a block taken apart', step({}, { block: 'Warm' }), step(), 'in no block'],
  ['all of it', step(), step({ tempo: 92 }, { locked: true, block: 'Warm' }), 'tempo 92, pinned, in the block “Warm”'],
])('what is different between two versions of a step: %s', (_, before, after, words) => {
  expect(stepWords(before, after, t)).toBe(words);
});

test.each<[string, readonly number[], number, object]>([
  ['one of two', [60, 62], 60, { settings: { struck: [62] } }],
  ['the last one', [60], 60, { settings: {}, clear: ['struck'] }],
  ['one that is not there', [60], 65, { settings: { struck: [60] } }],
])('a key is put back: %s', (_, struck, tonic, setting) => {
  expect(without('struck', struck, tonic)).toEqual(setting);
});

test('keys that could be put in lie within today’s limits and are not sung yet', () => {
  const context = {
    voice: {
      type: 'mezzo-soprano' as const,
      style: 'pop' as const,
      goals: [],
      bridges: [],
      avoid: [],
      measured: { low: 58, high: 76, date: '2026-11-03' },
    },
    conditions: [],
    occasion: 'lesson' as const,
    exercises: shelf,
    known: new Set(shelf.keys()),
    now: '2026-11-25T15:00:00Z',
  };
  const laidWith = (settings: StepSettings) => {
    const [laid] = layRoutine([step(settings)], context).steps;
    if (laid?.laid?.kind !== 'pattern') throw new Error('no ladder');
    return { laid, ...laid.laid };
  };
  const { laid, input, pattern, ladder } = laidWith({ step: 2, maxKeys: 3 });
  const offered = tonicsToAdd(laid);
  const sung = ladder.rungs.map(({ tonic }) => tonic);
  expect(offered.length).toBeGreaterThan(3);
  for (const tonic of offered) {
    expect(sung).not.toContain(tonic);
    expect(tonic + pattern.low).toBeGreaterThanOrEqual(input.floor);
    expect(tonic + pattern.high).toBeLessThanOrEqual(input.ceiling);
  }
  const [first = 0] = offered;
  expect(tonicsToAdd(laidWith({ step: 2, maxKeys: 3, added: [first] }).laid)).not.toContain(first);
});

test('a step is marked with the gravest thing the review says of it', () => {
  const finding = (stepId: string | undefined, severity: Finding['severity']): Finding => ({
    id: `${stepId ?? ''}${severity}`,
    rule: 'load-jump',
    severity,
    values: {},
    fixes: [],
    ...(stepId !== undefined && { stepId }),
  });
  const marks = marksOf([finding('a', 'stop'), finding('a', 'note'), finding('b', 'note'), finding(undefined, 'warn')]);
  expect([...marks].sort()).toEqual([
    ['a', 'stop'],
    ['b', 'note'],
  ]);
});
