import fc from 'fast-check';
import { formatPattern, parsePattern } from '../pattern/index.ts';
import { writeNote } from '../pitch/index.ts';
import { thrownBy } from '../testing/thrown.ts';
import { commonKeys, type GroupSinger } from './index.ts';

const FIFTH = parsePattern('1 2 3 4 5 4 3 2 1:2');
const OCTAVE = parsePattern('1 3 5 8 5 3 1:2');
const singer = (id: string, floor: number, ceiling: number, more: Partial<GroupSinger> = {}): GroupSinger => ({
  id,
  floor,
  ceiling,
  ...more,
});
const FOUR = [singer('s', 60, 79), singer('a', 55, 74), singer('t', 48, 67), singer('b', 41, 60)];
const names = (tonics: readonly number[]): string => tonics.map((tonic) => writeNote(tonic)).join(' ');

test.each([
  ['four parts on a fifth', FOUR, FIFTH, 'C4 D♭4 D4 E♭4 E4 F4', { s: 0, a: 0, t: -1, b: -1 }],
  ['four parts on an octave', FOUR, OCTAVE, 'C4', { s: 0, a: 0, t: -1, b: -1 }],
  ['one alone stays at the written octave', [singer('s', 60, 69)], FIFTH, 'C4 D♭4 D4', { s: 0 }],
  ['a zone takes keys away', [singer('s', 60, 70, { avoid: [{ low: 61, high: 61 }] })], FIFTH, 'C4 D4 E♭4', { s: 0 }],
] as const)('%s', (_, singers, pattern, tonics, octaveOf) => {
  const common = commonKeys(singers, pattern);
  expect([names(common.tonics), common.octaveOf]).toEqual([tonics, octaveOf]);
});

test('under three keys a smaller span is proposed, then two groups', () => {
  expect(commonKeys(FOUR, OCTAVE).smaller && formatPattern(commonKeys(FOUR, OCTAVE).smaller ?? OCTAVE)).toBe(
    '1 3 5 3 1:2',
  );
  const far = [singer('a', 60, 62), singer('b', 66, 68), singer('c', 60, 62), singer('d', 66, 68)];
  expect(commonKeys(far, parsePattern('1 b2 1')).groups).toEqual([
    ['a', 'c'],
    ['b', 'd'],
  ]);
});

test('no singer, and the same one twice, are refused', () => {
  expect(thrownBy(() => commonKeys([], FIFTH))).toMatchObject({ code: 'BAD_SETTING' });
  expect(thrownBy(() => commonKeys([singer('a', 50, 60), singer('a', 50, 60)], FIFTH))).toMatchObject({
    code: 'BAD_SETTING',
  });
});

test('agrees with trying every octave for everyone', () => {
  const group = fc.array(fc.tuple(fc.integer({ min: 38, max: 66 }), fc.integer({ min: 8, max: 22 })), {
    minLength: 1,
    maxLength: 4,
  });
  fc.assert(
    fc.property(group, (ranges) => {
      const singers = ranges.map(([floor, width], index) => singer(String(index), floor, floor + width));
      let most = 0;
      let nearest = Infinity;
      const walk = (octaves: readonly number[]): void => {
        if (octaves.length < singers.length) {
          for (const octave of [-2, -1, 0, 1]) walk([...octaves, octave]);
          return;
        }
        const keys = Array.from({ length: 128 }, (_, tonic) => tonic).filter((tonic) =>
          singers.every(({ floor, ceiling }, index) => {
            const own = tonic + 12 * (octaves[index] ?? 0);
            return own + FIFTH.low >= floor && own + FIFTH.high <= ceiling;
          }),
        ).length;
        const distance = octaves.reduce((sum, octave) => sum + Math.abs(octave), 0);
        if (keys > most || (keys === most && distance < nearest)) [most, nearest] = [keys, distance];
      };
      walk([]);
      const { tonics, octaveOf } = commonKeys(singers, FIFTH);
      expect(tonics.length).toBe(most);
      expect(Object.values(octaveOf).reduce((sum, octave) => sum + Math.abs(octave), 0)).toBe(nearest);
      for (const tonic of tonics)
        for (const { id, floor, ceiling } of singers) {
          const own = tonic + 12 * (octaveOf[id] ?? 0);
          expect(own + FIFTH.low >= floor && own + FIFTH.high <= ceiling).toBe(true);
        }
    }),
    { numRuns: 300 },
  );
});
