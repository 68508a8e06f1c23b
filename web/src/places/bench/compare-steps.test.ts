import fc from 'fast-check';
import type { RoutineStep } from '@soft-lark/core';
import { text } from '../../text/i18n.ts';
import { stepWords } from './action-words.ts';
import { compareSteps } from './compare-steps.ts';

const step = (id: string, settings: RoutineStep['settings'] = {}): RoutineStep => ({ id, exerciseId: id, settings });
const line = (before: readonly RoutineStep[], after: readonly RoutineStep[]): string =>
  compareSteps(before, after)
    .map(({ id, change }) => `${id} ${change}`)
    .join(', ');

test.each([
  ['nothing changed', [step('a'), step('b')], [step('a'), step('b')], 'a same, b same'],
  [
    'settings in another order are the same',
    [step('a', { tempo: 90, step: 1 })],
    [step('a', { step: 1, tempo: 90 })],
    'a same',
  ],
  ['a setting', [step('a'), step('b')], [step('a'), step('b', { tempo: 90 })], 'a same, b changed'],
  ['a pin', [step('a')], [{ ...step('a'), locked: true }], 'a changed'],
  ['no pin is the same as none', [step('a')], [{ ...step('a'), locked: false }], 'a same'],
  ['a block', [{ ...step('a'), block: 'First' }], [step('a')], 'a changed'],
  ['a new step moves nothing', [step('a'), step('b')], [step('a'), step('c'), step('b')], 'a same, c added, b same'],
  [
    'a step that is gone stands where it was',
    [step('a'), step('b'), step('c')],
    [step('a'), step('c')],
    'a same, b gone, c same',
  ],
  ['the first is gone', [step('a'), step('b')], [step('b')], 'a gone, b same'],
  ['two change places', [step('a'), step('b')], [step('b'), step('a')], 'b moved, a moved'],
] as const)('%s', (_, before, after, expected) => {
  expect(line(before, after)).toBe(expected);
});

test('every step of both versions is there once', () => {
  const routines = fc
    .uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'), { maxLength: 8 })
    .map((ids) => ids.map((id) => step(id)));
  fc.assert(
    fc.property(routines, routines, (before, after) => {
      const rows = compareSteps(before, after);
      const ids = [...before, ...after].map(({ id }) => id);
      expect(rows.map(({ id }) => id).sort()).toEqual([...new Set(ids)].sort());
      expect(rows.flatMap((row) => row.after ?? [])).toEqual(after);
    }),
  );
});

test.each<[string, Partial<RoutineStep>, Partial<RoutineStep>, string]>([
  ['a note by name', { settings: { start: 60 } }, { settings: { start: 62 } }, 'start D4'],
  ['a setting that is gone', { settings: { tempo: 90 } }, { settings: {} }, 'tempo as usual'],
  ['keys left out', { settings: {} }, { settings: { struck: [61, 63] } }, 'keys left out D♭4 E♭4'],
  ['a pin', {}, { locked: true }, 'pinned'],
  ['no pin any more', { locked: true }, {}, 'not pinned'],
  ['a block', {}, { block: 'First' }, 'in the block “First”'],
  ['all at once', { block: 'First' }, { locked: true, settings: { tempo: 90 } }, 'tempo 90, pinned, in no block'],
])('%s in words', (_, before, after, expected) => {
  expect(stepWords({ ...step('a'), ...before }, { ...step('a'), ...after }, text.t)).toBe(expected);
});
