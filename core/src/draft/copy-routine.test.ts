import fc from 'fast-check';
import { contextOf, exercises, step } from '../testing/routine-context.ts';
import { layRoutine, type RoutineContext } from '../routine/index.ts';
import { copyRoutine, type CopiedStep } from './index.ts';

const BASS: Partial<RoutineContext> = {
  voice: {
    type: 'bass',
    style: 'folk',
    goals: [],
    bridges: [{ low: 57, high: 58 }],
    avoid: [],
    measured: { low: 40, high: 60, date: '2026-11-01' },
  },
};
let made = 0;
const copy = (steps: Parameters<typeof copyRoutine>[0], to: Partial<RoutineContext>): ReturnType<typeof copyRoutine> =>
  copyRoutine(steps, contextOf(), contextOf(to), () => `copy-${String((made += 1))}`);

test.each<[string, string, object, Partial<RoutineContext>, CopiedStep['became']]>([
  ['a step without pitch', 'long-hiss', {}, BASS, 'same'],
  ['a scale for a lower voice', 'up-and-down-five', { start: 62, tempo: 80 }, BASS, 'placed-anew'],
  ['a narrow straw for a tired voice', 'straw-slides', {}, { conditions: ['tired'] }, 'swapped'],
  ['belt on a recovering day', 'speech-like-call', {}, { conditions: ['recovering'] }, 'swapped'],
])('%s', (_, id, settings, to, became) => {
  const { steps, changes } = copy([step(id, settings)], to);
  expect(changes.map((change) => change.became)).toEqual([became]);
  expect(steps.every((one) => one.settings.start === undefined)).toBe(true);
  if (became === 'placed-anew') expect(steps[0]?.settings).toEqual({ tempo: 80 });
  if (became === 'swapped') expect(changes[0]?.reason?.code).toMatch(/^problem\./);
});

test('what is gone is left out with the reason; notes and keys stay with the first voice', () => {
  const steps = [
    step('gone-from-the-shelf'),
    step('up-and-down-five', { struck: [60], cue: 'Float.', note: 'Private.' }),
  ];
  const { steps: copied, changes } = copy(steps, {});
  expect(changes.map(({ became, reason }) => [became, reason?.code].join(' ').trim())).toEqual([
    'left-out not.gone',
    'same',
  ]);
  expect(copied.map(({ settings }) => settings)).toEqual([{ cue: 'Float.' }]);
});

test('every copy can be sung as it stands, and every step of the first is accounted for', () => {
  const ids = [...exercises.keys()];
  fc.assert(
    fc.property(
      fc.subarray(ids, { maxLength: 8 }),
      fc.constantFrom<Partial<RoutineContext>>(BASS, { conditions: ['tired'] }, { conditions: ['recovering'] }),
      (chosen, to) => {
        const { steps, changes } = copy(
          chosen.map((id) => step(id)),
          to,
        );
        expect(changes.map(({ exerciseId }) => exerciseId)).toEqual(chosen);
        expect(changes.filter(({ became }) => became !== 'left-out')).toHaveLength(steps.length);
        expect(layRoutine(steps, contextOf(to)).steps.every(({ problem }) => problem === undefined)).toBe(true);
      },
    ),
    { numRuns: 120 },
  );
});
