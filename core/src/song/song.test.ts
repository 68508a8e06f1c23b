import fc from 'fast-check';
import { faultLine, firstFault } from '../faults.ts';
import { barCount, eventsOfBars, songDemands, songNeeds, songSchema } from './index.ts';

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
  ['no note', { name: 'A', events: [{ beats: 1 }] }, '“events” has no note'],
  ['no name', { name: ' ', events: tune(1) }, '“name” needs at least 1 characters'],
  ['no length', { name: 'A', events: [{ midi: 60, beats: 0 }] }, '“events 1 beats” should be over 0'],
] as const)('a song with %s is refused', (_, song, message) => {
  const { error } = songSchema.safeParse(song);
  expect(error && faultLine(firstFault(error))).toBe(message);
});

const song = (beats: readonly (number | 'rest')[], midi = 60, tempo = 60): Parameters<typeof songDemands>[0] => ({
  tempo,
  events: beats.map((one, index) => (one === 'rest' ? { beats: 1 } : { midi: midi + index, beats: one })),
});

test.each([
  [
    'quarters at 60',
    song([1, 1, 1, 1]),
    { lowest: 60, highest: 63, fastestNotesPerSecond: 1, longestPhraseSeconds: 4 },
  ],
  ['a rest parts two phrases and two runs', song([1, 1, 'rest', 3, 1, 1]), { longestPhraseSeconds: 5 }],
  ['the quickest four', song([2, 0.25, 0.25, 0.25, 0.25, 2]), { fastestNotesPerSecond: 4 }],
  [
    'twice the tempo, half the time',
    song([1, 1, 1, 1], 60, 120),
    { fastestNotesPerSecond: 2, longestPhraseSeconds: 2 },
  ],
])('a song asks: %s', (_, tune_, expected) => {
  expect(songDemands(tune_)).toMatchObject(expected);
});

test('three notes are no run', () => {
  expect(songDemands(song([0.1, 0.1, 0.1])).fastestNotesPerSecond).toBeUndefined();
});

const voice = { measured: { low: 57, high: 76 }, bridges: [{ low: 64, high: 65 }] };
const asks = { lowest: 66, highest: 70, longestPhraseSeconds: 4 };

test.each([
  ['nothing', asks, []],
  ['a long breath', { ...asks, longestPhraseSeconds: 9 }, ['breath-length']],
  ['quick notes', { ...asks, fastestNotesPerSecond: 6 }, ['agility']],
  ['height', { ...asks, highest: 75 }, ['range-up']],
  ['depth and the bridge', { ...asks, lowest: 58 }, ['range-down', 'bridge']],
])('a song needs %s', (_, demands, needs) => {
  expect(songNeeds(demands, voice)).toEqual(needs);
});
