import { writeNote } from '../pitch/index.ts';
import {
  beltTopOf,
  easyBeltTopOf,
  isTooYoungForBelt,
  mayHaveGrit,
  resolveLimits,
  USUAL_RULES,
  type LimitContext,
} from './index.ts';

type Voice = LimitContext['voice'];

function limitsFor(voice: Voice, change: Partial<LimitContext> = {}): readonly [string, string, string | undefined] {
  const { floor, ceiling, entries } = resolveLimits({
    voice,
    style: 'pop',
    exercise: { stage: 'middle', register: 'mixed' },
    sungSteps: 3,
    conditions: [],
    occasion: 'lesson',
    now: '2026-11-25T15:00:00Z',
    ...change,
  });
  return [writeNote(floor), writeNote(ceiling), entries.filter(({ side }) => side === 'ceiling').at(-1)?.rule];
}

const wide = { low: 50, high: 86, date: '2026-11-03' };
const HEAVY = { exercise: { stage: 'style', register: 'heavy' } } as const;

test.each<[string, Voice, Partial<LimitContext>, readonly [string, string, string | undefined]]>([
  ['a child of six, whatever was measured', { type: 'treble', age: 6, measured: wide }, {}, ['E♭3', 'A4', 'age']],
  ['a child of nine', { type: 'treble', age: 9, measured: wide }, {}, ['E♭3', 'D5', 'age']],
  ['a child of eleven', { type: 'treble', age: 11, measured: wide }, {}, ['E♭3', 'F5', 'age']],
  ['a child with a grown-up label', { type: 'soprano', age: 11, measured: wide }, {}, ['E♭3', 'F5', 'age']],
  ['a teenager ends at the usual top', { type: 'tenor', age: 16, measured: wide }, {}, ['E♭3', 'C5', 'age']],
  ['a grown-up does not', { type: 'tenor', age: 18, measured: wide }, {}, ['E♭3', 'D♭6', 'margin']],
  ['the teacher cannot pass the cap', { type: 'treble', age: 9 }, { override: { ceiling: 90 } }, ['C4', 'D5', 'reach']],
  [
    'a changing voice works in its middle',
    { type: 'changing', age: 13, changingStage: 'first', measured: { low: 55, high: 74, date: '2026-11-03' } },
    {},
    ['B3', 'G4', 'changing'],
  ],
  ['unmeasured, the middle as it is', { type: 'changing', age: 14, changingStage: 'new' }, {}, ['E3', 'B3', 'base']],
  [
    'the teacher may widen it to the stage, no further',
    { type: 'changing', age: 14, changingStage: 'new', measured: wide },
    { override: { ceiling: 80 } },
    ['E3', 'E♭4', 'age'],
  ],
  ['speech-like mix under fifteen', { type: 'soprano', age: 14, measured: wide }, HEAVY, ['E♭3', 'A4', 'belt']],
  ['mix under eighteen', { type: 'soprano', age: 16, measured: wide, beltCeiling: 79 }, HEAVY, ['E♭3', 'B4', 'belt']],
  ['a lower voice keeps its own', { type: 'bass', age: 17, measured: wide }, HEAVY, ['E♭3', 'D4', 'belt']],
])('%s', (_, voice, change, expected) => {
  expect(limitsFor(voice, change)).toEqual(expected);
});

test('no record chasing: work that extends the range does not for the young', () => {
  const extending = { exercise: { stage: 'range', register: 'mixed', extendsRange: true } } as const;
  const measured = { low: 50, high: 64, reachLow: 48, reachHigh: 72, date: '2026-11-03' };
  expect(limitsFor({ type: 'tenor', age: 17, measured }, extending)[1]).toBe('E♭4');
  expect(limitsFor({ type: 'tenor', age: 18, measured }, extending)[1]).toBe('F♯4');
});

test.each<[string, Voice, boolean, boolean]>([
  ['eleven', { type: 'treble', age: 11 }, true, false],
  ['twelve', { type: 'treble', age: 12 }, false, false],
  ['sixteen, not decided', { type: 'tenor', age: 16 }, false, false],
  ['sixteen, decided', { type: 'tenor', age: 16, gritAllowed: true }, false, true],
  ['fifteen, decided in vain', { type: 'tenor', age: 15, gritAllowed: true }, false, false],
  ['treble of no age', { type: 'treble' }, true, false],
  ['changing of no age', { type: 'changing', changingStage: 'first' }, false, false],
  ['a grown-up of no age', { type: 'contralto' }, false, true],
])('belt and grit at %s', (_, voice, noBelt, grit) => {
  expect([isTooYoungForBelt(voice, USUAL_RULES), mayHaveGrit(voice, USUAL_RULES)]).toEqual([noBelt, grit]);
});

test('a belt ceiling names the row it rests on, or none where the teacher set it', () => {
  expect(beltTopOf({ type: 'tenor' }, USUAL_RULES)).toMatchObject({ note: 67, figure: 'belt.tenor' });
  expect(beltTopOf({ type: 'tenor', beltCeiling: 71 }, USUAL_RULES)).toEqual({
    note: 71,
    said: { code: 'limit.belt' },
  });
  expect(beltTopOf({ type: 'treble', age: 8 }, USUAL_RULES)).toMatchObject({ note: 69 });
});

test.each([
  ['a grown tenor', { type: 'tenor' }, 71],
  ['a soprano of fourteen, at most the speech-like mix of her age', { type: 'soprano', age: 14 }, 69],
  ['a soprano of seventeen, at most the mix of a teenager', { type: 'soprano', age: 17 }, 71],
  ['a bass of seventeen keeps the note of his type', { type: 'bass', age: 17 }, 65],
  ['a changing voice goes by its age alone', { type: 'changing', age: 15 }, 71],
  ['a soprano a day before fifteen', { type: 'soprano', age: 14 }, 69],
  ['a soprano of fifteen', { type: 'soprano', age: 15 }, 71],
  ['a soprano of eighteen is grown', { type: 'soprano', age: 18 }, 74],
] as const)('ease never lifts the belt ceiling past the age row: %s', (_, voice, highest) => {
  expect(easyBeltTopOf(voice, USUAL_RULES)).toBe(highest);
});
