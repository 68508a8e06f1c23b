import fc from 'fast-check';
import { barCount, eventsOfBars, songSchema } from './index.ts';

const tune = (...beats: readonly number[]): { midi: number; beats: number }[] =>
  beats.map((length, index) => ({ midi: 60 + index, beats: length }));
const notes = (events: readonly { readonly midi?: number }[]): string => events.map(({ midi }) => midi).join(' ');

test.each([
  ['the second bar of four', tune(1, 1, 1, 1, 2, 2), 1, 2, { beatsPerBar: 4, pickupBeats: 0 }, '64 65'],
  ['a pickup is a bar of its own', tune(1, 1, 1, 1, 1), 0, 1, { beatsPerBar: 4, pickupBeats: 1 }, '60'],
  ['the bar after a pickup', tune(1, 1, 1, 1, 1, 1), 1, 2, { beatsPerBar: 4, pickupBeats: 1 }, '61 62 63 64'],
  ['a note over the bar line stays where it begins', tune(3, 2, 3), 0, 1, { beatsPerBar: 4, pickupBeats: 0 }, '60 61'],
  ['thirds add up', tune(...Array<number>(13).fill(1 / 3)), 1, 2, { beatsPerBar: 4, pickupBeats: 0 }, '72'],
  ['nothing is left after the end', tune(4), 1, 2, { beatsPerBar: 4, pickupBeats: 0 }, ''],
] as const)('%s', (_, events, from, to, meter, expected) => {
  expect(notes(eventsOfBars(events, from, to, meter))).toBe(expected);
});

test('every event lies in exactly one bar, whatever the meter', () => {
  const lengths = fc.array(fc.constantFrom(1 / 3, 1 / 4, 1 / 2, 1, 1.5, 2, 3), { minLength: 1, maxLength: 60 });
  const meters = fc.record({
    beatsPerBar: fc.constantFrom(2, 3, 4, 4.5),
    pickupBeats: fc.constantFrom(0, 0.5, 1, 2),
  });
  fc.assert(
    fc.property(lengths, meters, (beats, meter) => {
      const events = tune(...beats);
      const bars = Array.from({ length: barCount(events, meter) }, (__, bar) =>
        eventsOfBars(events, bar, bar + 1, meter),
      );
      expect(bars.flat()).toEqual(events);
      expect(bars.at(-1)).not.toEqual([]);
    }),
    { numRuns: 300 },
  );
});

test.each([
  ['no note', { name: 'A', events: [{ beats: 1 }] }, 'has no note'],
  ['no name', { name: ' ', events: tune(1) }, 'needs a name'],
  ['no length', { name: 'A', events: [{ midi: 60, beats: 0 }] }, /.+/],
] as const)('a song with %s is refused', (_, song, message) => {
  expect(songSchema.safeParse(song).error?.issues[0]?.message).toMatch(message);
});
