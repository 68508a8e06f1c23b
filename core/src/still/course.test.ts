import fc from 'fast-check';
import { exerciseSchema, shippedExercises, type StillWork } from '../shelf/index.ts';
import { courseOf, endPart, momentOf, resultOf, type StillPart } from './index.ts';

const [shipped] = shippedExercises();
/** Work as the schema fills it in. */
const work = (written: object): StillWork => exerciseSchema.parse({ ...shipped, work: written }).work as StillWork;
const box = { inCounts: 4, holdCounts: 3, outCounts: 4, restCounts: 2, cycles: 3, countTempo: 78 };
const words = { kind: 'spoken', repeats: 6, beats: 4, tempo: 96, text: 'Well now' };
const told = ({ act, seconds, round, text, side }: StillPart): string =>
  [act, `${String(Number(seconds.toFixed(2)))} s`, `round ${String(round)}`, text, side].filter(Boolean).join(' · ');

test.each<[string, object, number, readonly string[]]>([
  ['box, to the clock', { kind: 'breath', counts: box }, 30, []],
  [
    'counts, without the phases that have none',
    { kind: 'breath', counts: { ...box, holdCounts: 0, restCounts: 0, cycles: 2, countTempo: 60 } },
    16,
    ['in · 4 s · round 1', 'out · 4 s · round 1', 'in · 4 s · round 2', 'out · 4 s · round 2'],
  ],
  [
    'a pyramid: two more on the way out each cycle, up to nine',
    {
      kind: 'breath',
      counts: {
        inCounts: 2,
        holdCounts: 0,
        outCounts: 6,
        restCounts: 0,
        cycles: 4,
        countTempo: 60,
        growsBy: 2,
        growsTo: 9,
      },
    },
    8 + 6 + 8 + 9 + 9,
    [],
  ],
  [
    'goes with rests between, none after the last',
    { kind: 'breath', bursts: { repeats: 2, secondsEach: 8, restSeconds: 30 } },
    46,
    ['go · 8 s · round 1', 'rest · 30 s · round 1', 'go · 8 s · round 2'],
  ],
  [
    'as long as it lasts, capped',
    { kind: 'breath', longest: { rounds: 2, mostSeconds: 20, restSeconds: 15 } },
    55,
    ['longest · 20 s · round 1', 'rest · 15 s · round 1', 'longest · 20 s · round 2'],
  ],
  [
    'prompts: one with seconds of its own, one on both sides',
    {
      kind: 'timed',
      seconds: 30,
      prompts: [
        { text: 'Stand tall.', seconds: 10 },
        { text: 'Lean over.', each: 'both-sides' },
      ],
    },
    30,
    [
      'prompt · 10 s · round 1 · Stand tall.',
      'prompt · 10 s · round 2 · Lean over. · left',
      'prompt · 10 s · round 2 · Lean over. · right',
    ],
  ],
  [
    'both ways round, plain prompts sharing the time',
    {
      kind: 'timed',
      seconds: 12,
      prompts: ['Roll the shoulders.', { text: 'And the wrists.', each: 'both-directions' }],
    },
    12,
    [
      'prompt · 6 s · round 1 · Roll the shoulders.',
      'prompt · 3 s · round 2 · And the wrists. · forward',
      'prompt · 3 s · round 2 · And the wrists. · back',
    ],
  ],
  ['spoken, by the beat', words, 15, []],
  ['spoken, quicker each time', { ...words, repeats: 2, beats: 8, tempo: 120, quickening: 0.06 }, 4 + 4 / 1.06, []],
  [
    'lines in their order, over again, with rests',
    { ...words, repeats: 3, tempo: 60, lines: ['Hey!', 'Ho!'], restSeconds: 2 },
    16,
    [
      'say · 4 s · round 1 · Hey!',
      'rest · 2 s · round 1',
      'say · 4 s · round 2 · Ho!',
      'rest · 2 s · round 2',
      'say · 4 s · round 3 · Hey!',
    ],
  ],
])('%s', (_, written, seconds, parts) => {
  const course = courseOf(work(written));
  expect(course.seconds).toBeCloseTo(seconds, 9);
  if (parts.length > 0) expect(course.parts.map(told)).toEqual(parts);
});

test('calls are drawn by the seed, every one of the list, never the same twice running', () => {
  const lines = ['Hey!', 'Ho!', 'Over here!', 'Wait!'];
  const calls = work({ ...words, repeats: 40, lines, order: 'drawn' });
  const said = (seed: number) => courseOf(calls, seed).parts.map(({ text }) => text);
  expect(new Set(Array.from({ length: 12 }, (_, day) => said(20_000 + day)[0])).size).toBeGreaterThan(1);
  expect(said(3)).toEqual(said(3));
  expect(said(3)).not.toEqual(said(4));
  expect(new Set(said(3))).toEqual(new Set(lines));
  for (const [index, line] of said(3).entries()) expect(line).not.toBe(said(3)[index - 1]);
});

test.each<[number, string | null]>([
  [0, 'in 1 · 3 left · then out'],
  [4.5, 'out 2 · 10.5 left · then rest'],
  [15, 'rest 1 · 6 left · then in'],
  [83.5, 'rest 6 · 0.5 left'],
  [84, null],
])('at %p s a long breath is at %p', (seconds, expected) => {
  const hiss = { inCounts: 3, holdCounts: 0, outCounts: 12, restCounts: 6, cycles: 4, countTempo: 60 };
  const moment = momentOf(courseOf(work({ kind: 'breath', counts: hiss })), seconds);
  const said =
    moment &&
    [
      `${moment.part.act} ${String(moment.count)}`,
      `${String(moment.secondsLeft)} left`,
      ...(moment.next ? [`then ${moment.next.act}`] : []),
    ].join(' · ');
  expect(said).toBe(expected);
});

test('parts follow each other without a gap, and every moment has one', () => {
  const still = shippedExercises().flatMap((one) =>
    one.work.kind === 'pattern' || one.work.kind === 'siren' ? [] : [one.work],
  );
  fc.assert(
    fc.property(
      fc.constantFrom(...still),
      fc.double({ min: 0, max: 1, maxExcluded: true, noNaN: true }),
      (one, share) => {
        const course = courseOf(one);
        const ends = course.parts.map(({ startsAt, seconds }) => startsAt + seconds);
        for (const [index, { startsAt, seconds }] of course.parts.entries()) {
          expect(seconds).toBeGreaterThan(0);
          expect(startsAt).toBeCloseTo(ends[index - 1] ?? 0, 9);
        }
        expect(momentOf(course, share * course.seconds)).not.toBeNull();
      },
    ),
  );
});

test.each<[string, object]>([
  ['an order to draw from one line', { ...words, lines: ['Hey!'], order: 'drawn' }],
  ['two hundred lines', { ...words, lines: Array.from({ length: 200 }, () => 'Hey!') }],
  [
    'prompts that take longer than the step',
    { kind: 'timed', seconds: 20, prompts: [{ text: 'Stand.', seconds: 30 }] },
  ],
  ['a growth without an end below the start', { kind: 'breath', counts: { ...box, growsBy: 2, growsTo: 2 } }],
  ['no breath at all', { kind: 'breath', counts: { ...box, inCounts: 0, outCounts: 0, holdCounts: 0, restCounts: 0 } }],
  ['counts and goes at once', { kind: 'breath', counts: box, bursts: { repeats: 1, secondsEach: 8, restSeconds: 0 } }],
  ['neither', { kind: 'breath' }],
])('%s is refused', (_, written) => {
  expect(exerciseSchema.safeParse({ ...shipped, work: written }).success).toBe(false);
});

const longest = courseOf(work({ kind: 'breath', longest: { rounds: 2, mostSeconds: 20, restSeconds: 15 } }));
const hiss = courseOf(
  work({
    kind: 'breath',
    counts: { inCounts: 3, holdCounts: 0, outCounts: 12, restCounts: 6, cycles: 2, countTempo: 60, growsBy: 2 },
  }),
);

test.each<[string, Parameters<typeof resultOf>[0], number | null, ReturnType<typeof resultOf>]>([
  ['never begun', hiss, null, { outcome: 'passed-over', seconds: 0, rounds: 0 }],
  ['left in its first way in', hiss, 2, { outcome: 'shortened', seconds: 2, rounds: 0 }],
  ['left after one round', hiss, 16, { outcome: 'shortened', seconds: 16, rounds: 1, most: 12 }],
  ['left in the rest after the last', hiss, 40, { outcome: 'done', seconds: 40, rounds: 2, most: 14 }],
  ['left late', hiss, 400, { outcome: 'done', seconds: 44, rounds: 2, most: 14 }],
  ['two breaths at the cap', longest, 55, { outcome: 'done', seconds: 55, rounds: 2, most: 20 }],
])('a course %s', (_, course, elapsed, result) => {
  expect(resultOf(course, elapsed)).toEqual(result);
});

test('spoken lines say how quick they got', () => {
  const quicker = courseOf(work({ ...words, repeats: 3, beats: 8, tempo: 100, quickening: 0.1 }));
  expect(resultOf(quicker, quicker.seconds)).toMatchObject({ outcome: 'done', rounds: 3, tempo: 121 });
  expect(resultOf(quicker, 5)).toMatchObject({ outcome: 'shortened', rounds: 1, tempo: 100 });
});

test('a breath that is over is over: its seconds are kept, the rest begins, and the next may be longer', () => {
  const first = endPart(longest, 11.4);
  expect(momentOf(first, 11.5)?.part).toMatchObject({ act: 'rest', startsAt: 11.4, seconds: 15 });
  const second = endPart(first, 11.4 + 15 + 14.2);
  expect(second.seconds).toBeCloseTo(40.6, 9);
  expect(resultOf(second, 40.6)).toEqual({ outcome: 'done', seconds: 41, rounds: 2, most: 14 });
  // After its end there is nothing to end.
  expect(endPart(second, 50)).toEqual(second);
});
