import fc from 'fast-check';
import { analyseSong, notesOfSong, type SongNote } from './index.ts';

/** Notes one after the other: pitch and seconds; no pitch is a rest. */
function tune(...parts: readonly (readonly [number | null, number])[]): readonly SongNote[] {
  let start = 0;
  return parts.flatMap(([midi, seconds]) => {
    const at = start;
    start += seconds;
    return midi === null ? [] : [{ midi, start: at, seconds }];
  });
}
const CHORD = tune([60, 1], [64, 1], [67, 1], [72, 1]);

test('range, phrase, leap and held note of four notes', () => {
  expect(analyseSong(CHORD)).toMatchObject({
    ...{ lowest: 60, highest: 72, longestPhrase: { start: 0, seconds: 4 } },
    ...{ largestLeap: { start: 3, semitones: 5 }, fastestRun: { start: 0, notesPerSecond: 1 } },
    ...{ longestHeld: { start: 0, midi: 60, seconds: 1 }, keys: [], bestShift: 0 },
  });
});

test('where it stays is told by time, not by notes', () => {
  const song = tune([72, 0.1], [60, 8], [62, 1], [64, 0.5], [71, 0.4]);
  expect(analyseSong(song)?.tessitura).toEqual({ low: 60, median: 60, high: 62 });
});

test('a rest parts phrases and runs; a note that is let go a little early does not', () => {
  const song = tune([60, 1], [62, 1], [null, 0.5], [64, 1], [65, 1], [67, 1]);
  expect(analyseSong(song)).toMatchObject({ longestPhrase: { start: 2.5, seconds: 3 }, fastestRun: null });
  const apart = [0, 1, 2, 3].map((start) => ({ midi: 60 + start, start, seconds: 0.98 }));
  expect(analyseSong(apart)?.longestPhrase).toEqual({ start: 0, seconds: 3.98 });
});

test('the quickest four notes are found where they stand', () => {
  const song = tune([60, 1], [62, 1], [64, 0.1], [65, 0.1], [67, 0.1], [69, 0.1], [60, 2]);
  const run = analyseSong(song)?.fastestRun;
  expect([run?.start, run?.notesPerSecond]).toEqual([2, expect.closeTo(10, 9)]);
});

test('time over a bridge, and what is asked for', () => {
  const voice = { comfortable: { low: 57, high: 73 }, bridges: [64, 80], breathSeconds: 5 };
  const found = analyseSong(CHORD, voice);
  expect(found?.shareAbove).toEqual([
    { bridge: 64, share: 0.5 },
    { bridge: 80, share: 0 },
  ]);
  expect(found?.needs).toEqual(['breath-length', 'range-up', 'bridge']);
  expect(analyseSong(CHORD, { breathSeconds: 20 })?.needs).toEqual([]);
  expect(analyseSong(tune([60, 1], [69, 1]))?.needs).toEqual(['leaps']);
});

test('the key that sits best has least outside, then the nearest middle', () => {
  const found = analyseSong(CHORD, { comfortable: { low: 55, high: 67 } });
  expect([found?.bestShift, found?.keys.length]).toEqual([-5, 25]);
  expect(found?.keys.find(({ shift }) => shift === -5)).toMatchObject({ outside: 0, lowest: 55, highest: 67 });
  expect(found?.keys.find(({ shift }) => shift === 0)?.outside).toBe(1);
});

test('beats become seconds; a glide is half where it begins, half where it arrives', () => {
  const events = [{ midi: 60, beats: 2 }, { beats: 1 }, { midi: 62, to: 67, beats: 2 }];
  expect(notesOfSong({ events, tempo: 120 })).toEqual([
    { midi: 60, start: 0, seconds: 1 },
    { midi: 62, start: 1.5, seconds: 0.5 },
    { midi: 67, start: 2, seconds: 0.5 },
  ]);
});

test('nothing that sounds is nothing to analyse', () => {
  expect(analyseSong([])).toBeNull();
  expect(analyseSong([{ midi: 60, start: 0, seconds: 0 }])).toBeNull();
});

test('a song that is moved: every figure of height moves with it, no other does', () => {
  const songs = fc.array(fc.tuple(fc.integer({ min: 40, max: 80 }), fc.integer({ min: 1, max: 8 })), {
    minLength: 1,
    maxLength: 60,
  });
  fc.assert(
    fc.property(songs, fc.integer({ min: -12, max: 12 }), (parts, shift) => {
      const song = tune(...parts);
      const moved = analyseSong(song.map((note) => ({ ...note, midi: note.midi + shift })));
      const found = analyseSong(song);
      if (!found || !moved) throw new Error('nothing sounded');
      expect([moved.lowest, moved.highest, moved.tessitura.median, moved.longestHeld.midi]).toEqual(
        [found.lowest, found.highest, found.tessitura.median, found.longestHeld.midi].map((midi) => midi + shift),
      );
      expect([moved.longestPhrase, moved.largestLeap, moved.fastestRun]).toEqual([
        found.longestPhrase,
        found.largestLeap,
        found.fastestRun,
      ]);
    }),
  );
});
