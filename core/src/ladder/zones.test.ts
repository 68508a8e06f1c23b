import { parsePattern } from '../pattern/index.ts';
import { buildLadder } from './index.ts';
import { gapReason, gapSounded, zoneOf, zoneReason, zoneSounded } from './zones.ts';

const LEAP = parsePattern('1 5');
const SLIDE = parsePattern('1~5');
const at = (note: number): { low: number; high: number } => ({ low: note, high: note });

test.each([
  ['a leap steps over a zone', LEAP, at(63), undefined],
  ['and does not step on it', LEAP, at(67), at(67)],
  ['nor begin on it', LEAP, at(60), at(60)],
  ['a slide sounds all it passes', SLIDE, at(63), at(63)],
  ['up to its last note', SLIDE, { low: 67, high: 70 }, { low: 67, high: 70 }],
  ['and no further', SLIDE, { low: 68, high: 70 }, undefined],
  ['nor lower than its first', SLIDE, { low: 50, high: 59 }, undefined],
])('a zone that is never sounded: %s', (_, pattern, zone, struck) => {
  expect(zoneSounded(pattern, 60, [zone])).toEqual(struck);
});

test.each([
  ['a leap over it', LEAP, at(63), undefined],
  ['a leap that lands in it', LEAP, at(67), at(67)],
  ['a slide through it', SLIDE, { low: 62, high: 64 }, undefined],
  ['a slide that lands in it', SLIDE, { low: 66, high: 67 }, { low: 66, high: 67 }],
  ['a slide that begins in it', SLIDE, { low: 59, high: 60 }, { low: 59, high: 60 }],
  ['a slide that ends under it', SLIDE, { low: 68, high: 69 }, undefined],
])('a gap of the voice: %s', (_, pattern, gap, struck) => {
  expect(gapSounded(pattern, 60, [gap])).toEqual(struck);
});

test('why a key was struck names the zone or the gap', () => {
  expect(zoneReason(at(63))).toEqual({ code: 'key.zone', values: { zone: { interval: at(63) } } });
  expect(gapReason({ low: 60, high: 62 })).toEqual({
    code: 'key.gap',
    values: { gap: { interval: { low: 60, high: 62 } } },
  });
});

test.each([
  [60, 64, 'low'],
  [60, 65, 'bridge'],
  [65, 70, 'bridge'],
  [66, 70, 'above'],
])('%d to %d against a bridge at 65 lies %s', (low, high, zone) => {
  expect(zoneOf(low, high, [65, 72])).toBe(zone);
  expect(zoneOf(low, high)).toBe('low');
});

test('a pattern wider than its limits says by how much, and what would fit', () => {
  const input = { floor: 60, ceiling: 64, start: 60, step: 1, travel: 'rise', timesPerKey: 1, tempo: 90 } as const;
  const wide = (floor: number, ceiling: number): unknown => {
    try {
      return buildLadder({ ...input, pattern: parsePattern('1 5'), cueBeats: 1, restBeats: 1, floor, ceiling });
    } catch (error) {
      return error instanceof Error ? error.message : error;
    }
  };
  expect(wide(60, 64)).toBe('The pattern spans 7 semitones; C4 to E4 holds 4.');
  expect(wide(64, 60)).toBe('The pattern spans 7 semitones; E4 to C4 holds 0.');
});
