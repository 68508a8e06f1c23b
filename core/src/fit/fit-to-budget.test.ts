import fc from 'fast-check';
import highs from 'highs';
import { thrownBy } from '../testing/thrown.ts';
import { fitToBudget, type Fit, type FitStep } from './index.ts';

const step = (id: string, options: readonly (readonly [number, number])[], more: Partial<FitStep> = {}): FitStep => ({
  id,
  options: options.map(([seconds, worth]) => ({ seconds, worth })),
  ...more,
});

test.each<[string, FitStep[], number, Partial<Fit>]>([
  ['nothing to fit', [], 60, { feasible: true, seconds: 0, worth: 0, chosen: {} }],
  [
    'the longer where it fits',
    [
      step('a', [
        [10, 1],
        [20, 3],
      ]),
    ],
    20,
    { chosen: { a: 1 }, worth: 3 },
  ],
  [
    'the shorter where it does not',
    [
      step('a', [
        [10, 1],
        [20, 3],
      ]),
    ],
    19.9,
    { chosen: { a: 0 }, worth: 1 },
  ],
  [
    'one second better spent elsewhere',
    [
      step('a', [
        [10, 1],
        [20, 3],
      ]),
      step('b', [
        [10, 1],
        [20, 4],
      ]),
    ],
    30,
    { chosen: { a: 0, b: 1 } },
  ],
  [
    'of equals the fullest',
    [
      step('a', [
        [10, 2],
        [15, 2],
        [12, 2],
      ]),
    ],
    20,
    { chosen: { a: 1 }, seconds: 15 },
  ],
  [
    'then the lowest indexes',
    [
      step('a', [
        [10, 1],
        [20, 2],
      ]),
      step('b', [
        [10, 1],
        [20, 2],
      ]),
    ],
    30,
    { chosen: { a: 0, b: 1 } },
  ],
  [
    'a locked step stays',
    [
      step(
        'a',
        [
          [10, 1],
          [20, 9],
        ],
        { chosen: 0 },
      ),
    ],
    60,
    { chosen: { a: 0 } },
  ],
  [
    'tenths are rounded up',
    [
      step('a', [
        [10.01, 1],
        [5, 0],
      ]),
    ],
    10.05,
    { chosen: { a: 1 } },
  ],
  [
    'less worth for more time',
    [
      step('a', [
        [5, 3],
        [30, 1],
      ]),
    ],
    60,
    { chosen: { a: 0 }, worth: 3 },
  ],
])('%s', (_, steps, budget, expected) => {
  expect(fitToBudget(steps, budget)).toMatchObject(expected);
});

test('where even the least is too long: by how much, and what to drop first', () => {
  const steps = [
    step(
      'occluded',
      [
        [60, 1],
        [30, 1],
      ],
      { keep: true },
    ),
    step('scale', [[40, 8]]),
    step('words', [[20, 1]]),
    step('cool', [[30, 1]], { keep: true }),
  ];
  expect(fitToBudget(steps, 90)).toEqual({
    feasible: false,
    chosen: { occluded: 1, scale: 0, words: 0, cool: 0 },
    seconds: 120,
    worth: 11,
    overBy: 30,
    dropFirst: ['words', 'scale'],
  });
});

test.each<[string, FitStep[], number, string]>([
  ['no option', [step('a', [])], 10, 'NO_OPTION'],
  ['negative seconds', [step('a', [[-1, 1]])], 10, 'BAD_OPTION'],
  ['worth that is no number', [step('a', [[1, Number.NaN]])], 10, 'BAD_OPTION'],
  ['a choice there is not', [step('a', [[1, 1]], { chosen: 3 })], 10, 'BAD_CHOICE'],
  ['no budget', [step('a', [[1, 1]])], Number.NaN, 'BAD_BUDGET'],
])('%s is refused', (_, steps, budget, code) => {
  expect(thrownBy(() => fitToBudget(steps, budget))).toMatchObject({ name: 'FitError', code });
});

/** Every combination there is, the slow and obvious way; `null` where none fits. */
function bruteForce(steps: readonly FitStep[], budget: number): readonly number[] | null {
  let best: { readonly picked: readonly number[]; readonly worth: number; readonly tenths: number } | null = null;
  const tenths = (seconds: number): number => Math.ceil(seconds * 10 - 1e-9);
  const walk = (index: number, picked: readonly number[], worth: number, total: number): void => {
    const next = steps[index];
    if (!next) {
      if (total > Math.floor(budget * 10 + 1e-9)) return;
      const isBetter = !best || worth > best.worth + 1e-9 || (worth > best.worth - 1e-9 && total > best.tenths);
      if (isBetter) best = { picked, worth, tenths: total };
      return;
    }
    next.options.forEach((option, choice) => {
      if (next.chosen !== undefined && next.chosen !== choice) return;
      walk(index + 1, [...picked, choice], worth + option.worth, total + tenths(option.seconds));
    });
  };
  walk(0, [], 0, 0);
  return (best as { readonly picked: readonly number[] } | null)?.picked ?? null;
}

const options = fc.array(
  fc.tuple(
    fc.integer({ min: 0, max: 400 }).map((value) => value / 10),
    fc.integer({ min: 0, max: 9 }),
  ),
  { minLength: 1, maxLength: 4 },
);
const problems = fc.record({
  steps: fc.array(fc.tuple(options, fc.boolean()), { minLength: 0, maxLength: 5 }),
  budget: fc.integer({ min: 0, max: 1500 }).map((value) => value / 10),
});

test('agrees with trying everything, on thousands of small cases', () => {
  fc.assert(
    fc.property(problems, ({ steps: given, budget }) => {
      const steps = given.map(([list, isLocked], index) =>
        step(String(index), list, isLocked && index % 2 === 0 ? { chosen: 0 } : {}),
      );
      const fit = fitToBudget(steps, budget);
      const wanted = bruteForce(steps, budget);
      expect(fit.feasible).toBe(wanted !== null);
      if (wanted) expect(steps.map(({ id }) => fit.chosen[id])).toEqual(wanted);
      else expect(fit.overBy).toBeGreaterThan(0);
    }),
    { numRuns: 3000 },
  );
});

/** The same choice as a program for an integer solver; seconds in tenths, as the fit counts them. */
function programOf(steps: readonly FitStep[], budget: number): string {
  const name = (row: number, option: number): string => `x${String(row)}_${String(option)}`;
  const terms = (of: (option: FitStep['options'][number]) => number): string =>
    steps.flatMap(({ options }, row) => options.map((one, at) => `+ ${String(of(one))} ${name(row, at)}`)).join('\n ');
  const one = steps.map(({ options }, row) => `${options.map((_, at) => name(row, at)).join(' + ')} = 1`).join('\n ');
  return `Maximize
 ${terms(({ worth }) => worth)}
Subject To
 ${terms(({ seconds }) => Math.ceil(seconds * 10 - 1e-9))} <= ${String(Math.floor(budget * 10))}
 ${one}
Binary
 ${steps.flatMap(({ options }, row) => options.map((_, at) => name(row, at))).join('\n ')}
End`;
}

test('is worth as much as an integer-programming solver finds, on large cases', async () => {
  const solver = await highs.default();
  const option = fc.tuple(fc.integer({ min: 50, max: 3500 }), fc.integer({ min: 1, max: 9999 }));
  const large = fc.array(fc.array(option, { minLength: 12, maxLength: 24 }), { minLength: 12, maxLength: 20 });
  for (const [seed, budget] of [600, 1200, 1800, 2400, 3000, 3600, 720, 900].entries()) {
    const [rows = []] = fc.sample(large, { seed, numRuns: 1 });
    const steps = rows.map((list, index) =>
      step(
        String(index),
        list.map(([tenths, worth]) => [tenths / 10, worth / 1000]),
      ),
    );
    const fit = fitToBudget(steps, budget);
    const solved = solver.solve(programOf(steps, budget), { mip_rel_gap: 0 });
    if (fit.feasible) expect(fit.worth).toBeCloseTo(solved.ObjectiveValue, 6);
    else expect(solved.Status).toBe('Infeasible');
  }
});
