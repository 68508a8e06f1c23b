import fc from 'fast-check';
import { RuleError } from '../errors.ts';
import { thrownBy } from '../testing/thrown.ts';
import {
  changeRules,
  RANGE_NAMES,
  RANGE_ROWS,
  resolveLimits,
  RULE_ROWS,
  ruleFigure,
  USUAL_RULES,
  type RuleChanges,
} from './index.ts';

test.each<[string, RuleChanges, string, string]>([
  ['under its bounds', { 'condition.tired': 0 }, 'OUT_OF_BOUNDS', 'condition.tired'],
  ['over its bounds', { 'gentle.ceiling': 40 }, 'OUT_OF_BOUNDS', 'gentle.ceiling'],
  ['half a semitone', { 'home.narrower': 1.5 }, 'OUT_OF_BOUNDS', 'home.narrower'],
  ['no number', { 'home.narrower': NaN }, 'OUT_OF_BOUNDS', 'home.narrower'],
  ['a row there is not', { 'home.wider': 1 } as RuleChanges, 'UNKNOWN_ROW', 'home.wider'],
  [
    'a row of the prototype',
    { 'condition.toString': 1 } as unknown as RuleChanges,
    'UNKNOWN_ROW',
    'condition.toString',
  ],
  ['new work wider than known work', { 'home.narrower': 4 }, 'OUT_OF_ORDER', 'home.narrower'],
  ['tired alone worse than all together', { 'condition.tired': 6 }, 'OUT_OF_ORDER', 'condition.tired'],
  [
    'a comfortable top over the usual one',
    { 'ranges.bass.comfortable.high': 65 },
    'OUT_OF_ORDER',
    'ranges.bass.comfortable.high',
  ],
  ['a voice there is not', { 'ranges.owl.usual.low': 50 } as RuleChanges, 'UNKNOWN_ROW', 'ranges.owl.usual.low'],
  ['belt later than the mix', { 'young.noBeltUnder': 16 }, 'OUT_OF_ORDER', 'young.noBeltUnder'],
])('nonsense is refused with its row: %s', (_, changes, code, row) => {
  const thrown = thrownBy(() => changeRules(changes, 'studio'));
  expect(thrown).toBeInstanceOf(RuleError);
  expect(thrown).toMatchObject({ code, row });
});

test('one student’s figures stand over the studio’s, and a ledger line says whose they are', () => {
  const studio = changeRules({ 'condition.tired': 3, 'style.choral': -2 }, 'studio');
  const own = changeRules({ 'condition.tired': 4 }, 'student', studio);
  expect([own.condition.tired, own.style.choral, own.condition.heavy]).toEqual([4, -2, 2]);
  const { entries } = resolveLimits({
    voice: { type: 'mezzo-soprano', measured: { low: 57, high: 76, date: '2026-11-03' } },
    style: 'choral',
    exercise: { stage: 'middle', register: 'mixed' },
    sungSteps: 2,
    conditions: ['tired'],
    occasion: 'lesson',
    rules: own,
    now: '2026-11-25T15:00:00Z',
  });
  const sources = entries.filter(({ side }) => side === 'ceiling').map(({ rule, source }) => [rule, source]);
  expect(sources).toEqual([
    ['base', 'range-check'],
    ['margin', 'reference'],
    ['style', 'studio'],
    ['condition', 'student'],
  ]);
});

test('every row is within its own bounds at the reference, and every figure has a row', () => {
  for (const { path, min, max } of [...RULE_ROWS, ...RANGE_ROWS]) {
    const figure = ruleFigure(USUAL_RULES, path);
    expect([path, figure >= min && figure <= max]).toEqual([path, true]);
  }
  const { ranges, ...groups } = USUAL_RULES;
  expect(Object.keys(ranges)).toEqual(RANGE_NAMES);
  const figures = Object.entries(groups).flatMap(([group, rows]) =>
    Object.keys(rows).map((name) => `${group}.${name}`),
  );
  expect([...figures].sort()).toEqual(RULE_ROWS.map(({ path }) => path).sort());
});

test('a figure within bounds is taken or refused for the order, and the reference is never changed', () => {
  const rows = fc.constantFrom(...RULE_ROWS);
  const before = JSON.stringify(USUAL_RULES);
  fc.assert(
    fc.property(rows, fc.double({ min: 0, max: 1, noNaN: true }), (row, share) => {
      const value =
        row.unit === 'share'
          ? row.min + share * (row.max - row.min)
          : Math.round(row.min + share * (row.max - row.min));
      let figure = value;
      const thrown = thrownBy(() => {
        figure = ruleFigure(changeRules({ [row.path]: value }, 'studio'), row.path);
      });
      expect(figure).toBe(value);
      if (thrown !== undefined) expect(thrown).toMatchObject({ code: 'OUT_OF_ORDER' });
    }),
    { numRuns: 2000 },
  );
  expect(JSON.stringify(USUAL_RULES)).toBe(before);
});

test('a voice that is not measured starts from the studio’s own reference; a child’s cap follows it', () => {
  const rules = changeRules({ 'ranges.tenor.comfortable.high': 67, 'ranges.treble to 9.usual.high': 72 }, 'studio');
  const context = {
    style: 'classical',
    exercise: { stage: 'range', register: 'mixed', kind: 'siren' },
    sungSteps: 3,
    conditions: [],
    occasion: 'lesson',
    rules,
    now: '2026-11-25T15:00:00Z',
  } as const;
  const [before] = resolveLimits({ ...context, voice: { type: 'tenor' } }).entries.filter(
    ({ side }) => side === 'ceiling',
  );
  expect(before?.result).toBe(67);
  const child = resolveLimits({
    ...context,
    voice: { type: 'treble', age: 8, measured: { low: 58, high: 76, date: '2026-11-03' } },
  });
  expect(child.ceiling).toBe(72);
  expect(USUAL_RULES.ranges.tenor.comfortable.high).toBe(65);
});
