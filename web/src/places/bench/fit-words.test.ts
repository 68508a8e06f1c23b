import { shippedExercises, type RoutineStep, type StepSettings } from '@soft-lark/core';
import { text } from '../../text/i18n.ts';
import { changeWords } from './fit-words.ts';

const shelf = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));
const step = (exerciseId: string): RoutineStep => ({ id: exerciseId, exerciseId, settings: {} });
const hiss = step('long-hiss');
const trill = step('lip-trill-on-five');
const hum = step('hum-on-the-chord');
const five = step('up-and-down-five');
const falling = step('falling-hum');
const all = [hiss, trill, hum, five, falling];
const set = (step: RoutineStep, settings: StepSettings): RoutineStep => ({ ...step, settings });

test.each<[string, readonly RoutineStep[], readonly RoutineStep[], string]>([
  ['nothing', all, all, ''],
  ['one that goes', all, [hiss, trill, hum, falling], 'taken off: Up and down five'],
  ['two that go', all, [hiss, trill, hum], 'taken off: Up and down five · Falling hum'],
  ['a length', [trill], [set(trill, { maxKeys: 5 })], 'Lip trill on five: 5 keys out'],
  ['a length of its own that is let go', [set(hiss, { repeats: 2 })], [hiss], 'Long hiss: its usual length'],
  ['what is no length', [trill], [set(trill, { tempo: 90 })], ''],
  [
    'more than three',
    all,
    [set(hiss, { repeats: 2 }), ...[trill, hum, five, falling].map((step) => set(step, { maxKeys: 3 }))],
    'Long hiss: 2 times · Lip trill on five: 3 keys out · Hum on the chord: 3 keys out · 2 more change',
  ],
  ['both', [hiss, five], [set(hiss, { repeats: 1 })], 'taken off: Up and down five — Long hiss: once'],
])('the minutes under a finger say %s', (_, before, after, said) => {
  expect(changeWords(before, after, shelf, text.t)).toBe(said);
});
