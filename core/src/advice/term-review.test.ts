import type { Progress } from '../past/index.ts';
import { shippedExercises } from '../shelf/index.ts';
import type { VoiceFile } from '../voice/index.ts';
import { termReview, type TermCode, type TermReview } from './index.ts';

const exercises = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));
const voice: VoiceFile = {
  ...{ type: 'mezzo-soprano', style: 'theatre', goals: ['bridge', 'agility'], bridges: [], avoid: [] },
  measured: { low: 57, high: 76, date: '2026-11-03' },
};
const point = (highest: number, change: Partial<Progress['ranges'][number]> = {}): Progress['ranges'][number] => ({
  ...{ date: '2026-10-01', lowest: 57, highest, plannedHighest: null, isOrdinary: true },
  ...change,
});
const NOTHING: Progress = { ranges: [], weeks: [], stages: [], stoodStill: [], ease: [], courses: [] };
type Change = Partial<Parameters<typeof termReview>[0]>;
const reviewOf = (progress: Partial<Progress>, change: Change = {}): TermReview =>
  termReview({
    ...{
      progress: { ...NOTHING, ...progress },
      voice,
      checks: [],
      sung: new Set<string>(),
      exercises,
      today: '2026-11-25',
    },
    ...change,
  });
const codes = (said: readonly { readonly code: TermCode }[]): readonly string[] =>
  said.map(({ code }) => code.replace('term.', ''));
const tops = (...notes: readonly number[]): Partial<Progress> => ({ ranges: notes.map((note) => point(note)) });

test.each<[string, Partial<Progress>, readonly string[]]>([
  ['nothing sung', {}, ['few-runs']],
  ['seven runs', tops(70, 70, 70, 70, 74, 74, 74), ['few-runs']],
  ['higher at the end', tops(70, 71, 70, 71, 74, 74, 75, 74), ['top-up']],
  ['lower at the end', tops(74, 74, 74, 74, 70, 70, 70, 70), ['top-down']],
  ['as it was', tops(74, 74, 74, 74, 74, 74, 74, 74), ['top-same']],
  [
    'performances and recovering days are not held against others',
    {
      ranges: [
        ...Array.from({ length: 8 }, () => point(74)),
        ...Array.from({ length: 4 }, () => point(80, { isOrdinary: false })),
      ],
    },
    ['top-same'],
  ],
  [
    'the bottom moved too',
    {
      ranges: [
        ...Array.from({ length: 4 }, () => point(74)),
        ...Array.from({ length: 4 }, () => point(74, { lowest: 55 })),
      ],
    },
    ['top-same', 'bottom-down'],
  ],
])('what moved: %s', (_, progress, expected) => {
  expect(codes(reviewOf(progress).moved)).toEqual(expected);
});

test('two range checks of the term are held against each other, one is not', () => {
  const checks = [
    { low: 58, high: 74, date: '2026-09-10' },
    { low: 57, high: 76, date: '2026-11-03' },
  ];
  expect(reviewOf({}, { checks }).moved[0]).toEqual({
    code: 'term.measured',
    values: {
      from: { interval: { low: 58, high: 74 } },
      to: { interval: { low: 57, high: 76 } },
      day: { day: '2026-11-03' },
    },
  });
  expect(codes(reviewOf({}, { checks: checks.slice(1) }).moved)).toEqual(['few-runs']);
});

test('a goal that nothing served is named, and next comes an exercise for it that this voice may have', () => {
  const ofBridge = [...exercises.values()].find(({ goals }) => goals.includes('bridge'))?.id ?? '';
  const { untouched, next } = reviewOf({ stages: [{ stage: 'middle', minutes: 12 }] }, { sung: new Set([ofBridge]) });
  expect(codes(untouched)).toEqual(['goal', 'not-touched']);
  expect(untouched[0]?.values).toEqual({ goal: { word: 'agility', of: 'goal' } });
  expect(JSON.stringify(untouched[1])).not.toMatch(/"middle"|"settle"/);
  expect(codes(next)).toEqual(['try']);
  const tried = [...exercises.values()].find(({ name }) => name === next[0]?.values?.['name']);
  expect([tried?.goals.includes('agility'), tried?.optIn, tried?.grit]).toEqual([true, false, false]);
});

test.each<[string, Change, readonly string[]]>([
  ['never measured', { voice: { ...voice, goals: [], measured: undefined } as never }, ['check']],
  [
    'measured long ago',
    { voice: { ...voice, goals: [], measured: { low: 57, high: 76, date: '2026-08-01' } } },
    ['check'],
  ],
  ['nothing to do', { voice: { ...voice, goals: [] } }, ['go-on']],
])('what comes next: %s', (_, change, expected) => {
  expect(codes(reviewOf({}, change).next)).toEqual(expected);
});

test('what stood still is named with something else; of many only five', () => {
  const stoodStill = [...exercises.keys()]
    .slice(30, 40)
    .map((exerciseId) => ({ exerciseId, since: '2026-10-01', runs: 5 }));
  const { next } = reviewOf({ stoodStill });
  expect(next).toHaveLength(5);
  expect(codes(next)).toContain('stood-still');
});

test('what most of the singing was; silent work is touched though it weighs nothing', () => {
  const stages = (['middle', 'occluded', 'cool', 'breath'] as const).map((stage, at) => ({ stage, minutes: 9 - at }));
  expect(reviewOf({ stages, ...tops(70, 71) }).trained).toEqual([
    { code: 'term.runs', values: { count: 2 } },
    { code: 'term.stages', values: { stages: ['middle', 'occluded', 'cool'].map((word) => ({ word, of: 'stage' })) } },
  ]);
  const left = reviewOf({}, { sung: new Set(['long-hiss']) }).untouched;
  expect(JSON.stringify(left)).toContain('"release"');
  expect(JSON.stringify(left)).not.toContain('"breath"');
});
