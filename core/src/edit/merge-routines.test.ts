import fc from 'fast-check';
import type { RoutineStep } from '../routine/index.ts';
import { mergeRoutines, takeTheirs, type MergedFields } from './index.ts';

const step = (id: string, tempo?: number): RoutineStep => ({
  id,
  exerciseId: `of-${id}`,
  settings: tempo === undefined ? {} : { tempo },
});
const BASE: MergedFields = {
  name: 'Before',
  kind: 'lesson',
  minutes: 10,
  steps: ['a', 'b', 'c'].map((id) => step(id)),
};
const edit = (change: Partial<MergedFields>): MergedFields => ({ ...BASE, ...change });
const list = (...steps: readonly (string | RoutineStep)[]): Partial<MergedFields> => ({
  steps: steps.map((one) => (typeof one === 'string' ? step(one) : one)),
});
const shown = ({ name, minutes, steps }: MergedFields): string =>
  [name, minutes, ...steps.map(({ id, settings }) => `${id}${String(settings.tempo ?? '')}`)].join(' ');

test.each<[string, MergedFields, MergedFields, string, string]>([
  ['fields that do not touch', edit({ name: 'Mine' }), edit({ minutes: 7 }), 'Mine 7 a b c', ''],
  ['one field, two answers', edit({ minutes: 5 }), edit({ minutes: 7 }), 'Before 5 a b c', 'minutes'],
  ['one field, one answer', edit({ minutes: 7 }), edit({ minutes: 7 }), 'Before 7 a b c', ''],
  [
    'settings of two steps',
    edit(list(step('a', 80), 'b', 'c')),
    edit(list('a', 'b', step('c', 90))),
    'Before 10 a80 b c90',
    '',
  ],
  [
    'settings of one step',
    edit(list(step('a', 80), 'b', 'c')),
    edit(list(step('a', 90), 'b', 'c')),
    'Before 10 a80 b c',
    'step a',
  ],
  ['a step added in each', edit(list('a', 'x', 'b', 'c')), edit(list('a', 'b', 'c', 'y')), 'Before 10 a x b c y', ''],
  ['a step taken off in each', edit(list('b', 'c')), edit(list('a', 'b')), 'Before 10 b', ''],
  [
    'taken off here, changed there: it stays',
    edit(list('b', 'c')),
    edit(list(step('a', 90), 'b', 'c')),
    'Before 10 a90 b c',
    'step a',
  ],
  [
    'moved here, changed there',
    edit(list('c', 'a', 'b')),
    edit(list('a', step('b', 90), 'c')),
    'Before 10 c a b90',
    '',
  ],
  [
    'changed here, moved there',
    edit(list('a', step('b', 90), 'c')),
    edit(list('c', 'a', 'b')),
    'Before 10 c a b90',
    '',
  ],
  ['moved in two ways', edit(list('c', 'a', 'b')), edit(list('b', 'a', 'c')), 'Before 10 c a b', 'order'],
])('%s', (_, mine, theirs, expected, clashes) => {
  const { routine, conflicts } = mergeRoutines(BASE, mine, theirs);
  expect(shown(routine)).toBe(expected);
  expect(conflicts.map(({ what, stepId = '' }) => `${what} ${stepId}`.trim()).join()).toBe(clashes);
});

test('a conflict can be decided for the other window, each by itself', () => {
  const mine = edit({ minutes: 5, ...list('c', step('a', 80), 'b') });
  const theirs = edit({ minutes: 7, ...list('b', step('a', 90), 'c') });
  const { routine, conflicts } = mergeRoutines(BASE, mine, theirs);
  const taken = conflicts.map((conflict) => shown(takeTheirs(routine, conflict)));
  expect(taken).toEqual(['Before 7 c a80 b', 'Before 5 b a80 c', 'Before 5 c a90 b']);
  expect(shown(conflicts.reduce((at, conflict) => takeTheirs(at, conflict), routine))).toBe(shown(theirs));
});

const edits = fc
  .record({
    minutes: fc.integer({ min: 1, max: 3 }),
    ids: fc.shuffledSubarray(['a', 'b', 'c', 'x', 'y'], { minLength: 0 }),
    tempo: fc.integer({ min: 60, max: 62 }),
  })
  .map(({ minutes, ids, tempo }) =>
    edit({ minutes, steps: ids.map((id) => step(id, id === 'b' ? tempo : undefined)) }),
  );

test('what only one window changed is never lost, and no step comes twice', () => {
  fc.assert(
    fc.property(edits, edits, (mine, theirs) => {
      expect(shown(mergeRoutines(BASE, mine, BASE).routine)).toBe(shown(mine));
      expect(shown(mergeRoutines(BASE, BASE, theirs).routine)).toBe(shown(theirs));
      expect(mergeRoutines(BASE, mine, mine)).toEqual({ routine: mine, conflicts: [] });
      const { routine } = mergeRoutines(BASE, mine, theirs);
      const ids = routine.steps.map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
      const added = [...mine.steps, ...theirs.steps].filter(({ id }) => id === 'x' || id === 'y');
      for (const { id } of added) expect(ids).toContain(id);
    }),
    { numRuns: 1000 },
  );
});
