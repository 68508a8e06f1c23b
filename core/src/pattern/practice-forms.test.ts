import fc from 'fast-check';
import { patternTexts } from '../testing/arbitraries.ts';
import { thrownBy } from '../testing/thrown.ts';
import { formatPattern, parsePattern, practiceForms, type Pattern } from './index.ts';

test('a five-tone scale at 100 is learnt at 60, in two pieces, from its end, and whole', () => {
  const forms = practiceForms(parsePattern('1 2 3 4 5 4 3 2 1:2'), 100);
  expect(
    forms.map(({ form, tempo, seconds, patterns }) => [form, tempo, seconds, patterns.map(formatPattern)]),
  ).toEqual([
    ['slow', 60, 10, ['1 2 3 4 5 4 3 2 1:2']],
    ['pieces', 100, 6.6, ['1 2 3 4 5', '5 4 3 2 1:2']],
    ['from-the-end', 100, 9.6, ['5 4 3 2 1:2', '1 2 3 4 5 4 3 2 1:2']],
    ['whole', 100, 6, ['1 2 3 4 5 4 3 2 1:2']],
  ]);
});

test.each([0, -1, Number.NaN, Infinity])('%p is no tempo', (tempo) => {
  expect(thrownBy(() => practiceForms(parsePattern('1 2'), tempo))).toMatchObject({ code: 'BAD_TEMPO' });
});

const notesOf = ({ events }: Pattern): number => events.filter(({ kind, joined }) => kind !== 'rest' && !joined).length;

test('pieces have four to six notes, each begins where the last ended, and nothing of the pattern is lost', () => {
  fc.assert(
    fc.property(patternTexts, (text) => {
      let pattern: Pattern;
      try {
        pattern = parsePattern(text);
      } catch {
        return;
      }
      const [slow, pieces, fromTheEnd, whole] = practiceForms(pattern, 96);
      expect(formatPattern(slow?.patterns[0] ?? pattern)).toBe(formatPattern(whole?.patterns[0] ?? pattern));
      const counts = pieces?.patterns.map(notesOf) ?? [];
      if (notesOf(pattern) > 7) expect(counts.every((count) => count >= 3 && count <= 6)).toBe(true);
      const overlaps = counts.reduce((sum, count) => sum + count, 0) - (counts.length - 1);
      expect(overlaps).toBeGreaterThanOrEqual(notesOf(pattern));
      expect(fromTheEnd?.patterns.at(-1)?.beats).toBeCloseTo(pattern.beats, 6);
    }),
    { numRuns: 60 },
  );
});
