import fc from 'fast-check';
import { thrownBy } from '../testing/thrown.ts';
import { PatternError } from '../errors.ts';
import { modes, patternTexts } from '../testing/arbitraries.ts';
import {
  formatPattern,
  isSounding,
  markPattern,
  narrowPattern,
  parsePattern,
  withDegrees,
  type Pattern,
} from './index.ts';

const pitches = (pattern: Pattern): (number | undefined)[] => pattern.events.map((event) => event.to);

function errorOf(text: string, options?: Parameters<typeof parsePattern>[1]): PatternError {
  try {
    parsePattern(text, options);
  } catch (error) {
    if (error instanceof PatternError) return error;
  }
  throw new Error(`“${text}” was not refused`);
}

describe('parsePattern', () => {
  test.each([
    ['1 2 3 2 1:2', [0, 2, 4, 2, 0], 6],
    ['8 15', [12, 24], 2],
    ["b3 #4 1' 5, bb7", [3, 6, 12, -5, 9], 5],
    ['(1 2)x3', [0, 2, 0, 2, 0, 2], 6],
    ['(1 2 3 2):1/2', [0, 2, 4, 2], 2],
    ['(1 2 1 7,)x3:1/4', [0, 2, 0, -1, 0, 2, 0, -1, 0, 2, 0, -1], 3],
    ['((1 r)x2:1/2 3)x2', [0, undefined, 0, undefined, 4, 0, undefined, 0, undefined, 4], 6],
    ['  1   2 ', [0, 2], 2],
    ['1~5~1:6', [7, 0], 6],
  ])('%p', (text, expected, beats) => {
    const pattern = parsePattern(text);
    expect(pitches(pattern)).toEqual(expected);
    expect(pattern.beats).toBeCloseTo(beats, 12);
  });

  test.each([
    ['major', [0, 2, 4, 5, 7, 9, 11]],
    ['minor', [0, 2, 3, 5, 7, 8, 10]],
    ['harmonic-minor', [0, 2, 3, 5, 7, 8, 11]],
    ['dorian', [0, 2, 3, 5, 7, 9, 10]],
    ['mixolydian', [0, 2, 4, 5, 7, 9, 10]],
  ] as const)('degrees of %s', (mode, scale) => {
    expect(pitches(parsePattern('1 2 3 4 5 6 7', { mode }))).toEqual(scale);
  });

  test('sums, span and joined glides', () => {
    expect(parsePattern('1~5~1:3 r 3:1/2')).toEqual({
      mode: 'major',
      events: [
        { kind: 'glide', from: 0, to: 7, beats: 1.5 },
        { kind: 'glide', from: 7, to: 0, beats: 1.5, joined: true },
        { kind: 'rest', beats: 1 },
        { kind: 'note', from: 4, to: 4, beats: 0.5 },
      ],
      beats: 4.5,
      voicedBeats: 3.5,
      low: 0,
      high: 7,
    });
  });

  test.each([
    ['', 'EMPTY', 0],
    ['    ', 'EMPTY', 0],
    ['r r:2 r', 'NOTHING_SOUNDS', 0],
    ['1 2 x', 'BAD_TOKEN', 4],
    ['1 2 (3 z)x2', 'BAD_TOKEN', 7],
    ['1 0', 'BAD_DEGREE', 2],
    ['1 16', 'BAD_DEGREE', 2],
    ['1:0', 'BAD_DURATION', 0],
    ['1 2:1/0', 'BAD_DURATION', 2],
    ['1:1.5', 'BAD_DURATION', 0],
    ['(1 2', 'BAD_GROUP', 0],
    ['1 ((2)x2', 'BAD_GROUP', 2],
    ['1 2 )', 'BAD_GROUP', 4],
    ['1 (2 3)', 'BAD_GROUP', 2],
    ['(1)x0', 'BAD_GROUP', 0],
    ['(1)x33', 'BAD_GROUP', 0],
    ['1 ()x2', 'BAD_GROUP', 2],
    ['(1 2)x2(3)x2', 'BAD_TOKEN', 7],
    ['1 2\t3', 'BAD_SPACE', 2],
    ['1\n2', 'BAD_SPACE', 0],
    ['1 “2”', 'BAD_TOKEN', 2],
    ['1 ２', 'BAD_TOKEN', 2],
    ["1 2,'", 'BAD_DEGREE', 2],
    ['1 1~', 'BAD_DEGREE', 2],
    ["1 15' 15'' 3", 'SPAN_TOO_WIDE', 6],
    [`${'1 '.repeat(256)}1`, 'TOO_MANY_EVENTS', 512],
    ['1 ((1 2 3)x32)x32', 'TOO_MANY_EVENTS', 2],
    ['('.repeat(20_000), 'BAD_GROUP', 19_999],
    ['9'.repeat(20_000), 'BAD_DEGREE', 0],
    ['1 '.repeat(10_001), 'TOO_LONG', 20_000],
    [`${"1'~".repeat(6000)}x`, 'BAD_TOKEN', 0],
    [`${'#b'.repeat(9000)}x`, 'BAD_TOKEN', 0],
  ])('refuses %.40p with %s at %p', (text, code, position) => {
    const error = errorOf(text);
    expect([error.code, error.position]).toEqual([code, position]);
    expect(error.name).toBe('PatternError');
    expect(error.expected.length * error.remedy.length * error.message.length).toBeGreaterThan(0);
  });

  test('takes 256 notes and a span of three octaves', () => {
    expect(parsePattern('(1 2)x32 (1 2)x32 (1 2)x32 (1 2)x32').events).toHaveLength(256);
    expect(parsePattern("1 15 8''").high).toBe(36);
  });
});

describe('syllables', () => {
  test.each([
    ['1 2 3', 'no ne na', ['no', 'ne', 'na'], []],
    ['1 2 3', 'nay*', ['nay', 'nay', 'nay'], []],
    ['1 2 3', 'ah', ['ah', 'ah', 'ah'], [1, 2]],
    ['1 r 2 3', 'voh _ noh', ['voh', undefined, 'voh', 'noh'], [2]],
    ['1~5~1 2', 'voh na', ['voh', 'voh', 'na'], [1]],
  ])('%p on %p', (text, syllables, sung, continuing) => {
    const { events } = parsePattern(text, { syllables });
    expect(events.map((event) => event.syllable)).toEqual(sung);
    expect(events.flatMap((event, index) => (event.continues ? index : []))).toEqual(continuing);
  });

  test.each([
    ['no ne na nu', 9],
    ['_ no', 0],
    ['no* ne', 0],
    ['*', 0],
  ])('refuses %p at %p', (syllables, position) => {
    const error = errorOf('1 2 3', { syllables });
    expect([error.code, error.position]).toEqual(['BAD_SYLLABLES', position]);
  });
});

describe('formatPattern', () => {
  test.each([
    ['(1 2)x2:1/2', 'major', '1:1/2 2:1/2 1:1/2 2:1/2'],
    ['#1 #4 #2 bb7', 'major', 'b2 b5 b3 6'],
    ['7 b8 b1', 'minor', '7 b8 b1'],
    ["1' 2'' 7, 15", 'major', "8 9' 7, 15"],
    ['1~5~1:6 r:1/3', 'major', '1~5~1:6 r:1/3'],
    ['6 #6', 'harmonic-minor', '6 bb7'],
  ] as const)('%p in %s becomes %p', (text, mode, normal) => {
    expect(formatPattern(parsePattern(text, { mode }))).toBe(normal);
  });

  test('parsing the normal form gives the same events, and the normal form is its own', () => {
    let taken = 0;
    fc.assert(
      fc.property(patternTexts, modes, (text, mode) => {
        let pattern: Pattern;
        try {
          pattern = parsePattern(text, { mode });
        } catch (error) {
          expect(error).toBeInstanceOf(PatternError);
          return;
        }
        taken += 1;
        const normal = formatPattern(pattern);
        const again = parsePattern(normal, { mode });
        expect(again.events).toEqual(pattern.events);
        expect(formatPattern(again)).toBe(normal);
      }),
      { numRuns: 4000 },
    );
    expect(taken).toBeGreaterThan(2000);
  });

  test('whatever is typed is read or refused with a position inside the text', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom(..."0123456789rxb#~:/,'() \t".split('')), maxLength: 30 }),
        (text) => {
          try {
            expect(parsePattern(text).events.some(isSounding)).toBe(true);
          } catch (error) {
            if (!(error instanceof PatternError)) throw error;
            expect(Number.isInteger(error.position) && error.position >= 0 && error.position <= text.length).toBe(true);
          }
        },
      ),
      { numRuns: 5000 },
    );
  });
});

describe('narrowPattern', () => {
  test.each([
    ['1 2 3 4 5 4 3 2 1:2', 4, '1 2 3 2 1:2'],
    ['1 3 5 8 5 3 1:2', 7, '1 3 5 3 1:2'],
    ['5 4 3 2 1:2', 4, '3 2 1:2'],
    ['1 3:2 5 3 1', 4, '1 3:2 1'],
    ['1 1 5 1 1', 2, null],
    ['1~8~3 2', 4, null],
    ['1~3~8 1', 4, '1~3:1/2 1'],
    ['1 3 5', 12, '1 3 5'],
  ])('%p in %p is %p', (text, span, expected) => {
    const narrow = narrowPattern(parsePattern(text), span);
    expect(narrow && formatPattern(narrow)).toBe(expected);
  });

  test('never wider than asked, and always a pattern that can be written', () => {
    fc.assert(
      fc.property(patternTexts, fc.integer({ min: 1, max: 14 }), (text, span) => {
        let pattern: Pattern;
        try {
          pattern = parsePattern(text);
        } catch {
          return;
        }
        const narrow = narrowPattern(pattern, span);
        if (!narrow) return;
        expect(narrow.high - narrow.low).toBeLessThanOrEqual(span);
        expect(parsePattern(formatPattern(narrow)).events).toEqual(narrow.events);
      }),
      { numRuns: 2000 },
    );
  });
});

test('marks lie over events that are there', () => {
  const pattern = parsePattern('1 2 3');
  expect(markPattern(pattern, [{ kind: 'legato', first: 0, last: 2 }]).marks).toHaveLength(1);
  expect(thrownBy(() => markPattern(pattern, [{ kind: 'hold', first: 2, last: 3 }]))).toMatchObject({
    code: 'BAD_MARK',
  });
});

test.each([
  ['1 2 b3 5, r 1~5', 'major', '1 2 ♭3 5, – 1–5'],
  ['1 2 3 8', 'minor', '1 2 3 8'],
] as const)('degrees of %s in %s are read %s', (text, mode, wanted) => {
  const { events } = withDegrees(parsePattern(text, { mode, syllables: 'noh' }));
  expect(events.map(({ syllable = '–' }) => syllable).join(' ')).toBe(wanted);
});
