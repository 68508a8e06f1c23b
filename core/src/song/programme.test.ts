import { analyseSong, songProgramme, type ProgrammeSong, type SongNote } from './index.ts';

const EASY = { comfortable: { low: 57, high: 76 } };

/** A song of notes of a second each. */
function songOf(id: string, ...pitches: readonly number[]): ProgrammeSong {
  const notes: readonly SongNote[] = pitches.map((midi, start) => ({ midi, start, seconds: 1 }));
  const analysis = analyseSong(notes, EASY);
  if (!analysis) throw new Error(`${id} has no notes`);
  return { id, analysis, seconds: pitches.length };
}

const LULLABY = songOf('lullaby', 62, 64, 65, 64);
const ROUND = songOf('round', 62, 64, 67, 69);
const HYMN = songOf('hymn', 67, 69, 71, 72);
const SHOWPIECE = songOf('showpiece', 67, 72, 81, 79);

test.each<[string, readonly ProgrammeSong[], readonly string[]]>([
  ['one', [HYMN], ['hymn']],
  ['two: the lighter first', [SHOWPIECE, HYMN], ['hymn', 'showpiece']],
  ['three: a light one ends it', [SHOWPIECE, LULLABY, HYMN], ['lullaby', 'showpiece', 'hymn']],
  ['four: rising, then a light one', [SHOWPIECE, HYMN, ROUND, LULLABY], ['lullaby', 'hymn', 'showpiece', 'round']],
])('%s', (_, songs, order) => {
  expect(songProgramme(songs)?.order.map(({ id }) => id)).toEqual(order);
});

test('all of it together asks for what each of them does', () => {
  expect(songProgramme([SHOWPIECE, LULLABY])).toMatchObject({
    seconds: 8,
    outside: 2,
    lowest: 62,
    highest: 81,
    needs: SHOWPIECE.analysis.needs,
  });
});

test('a low voice reads a song written high an octave lower', () => {
  const notes = [72, 74, 76].map((midi, start) => ({ midi, start, seconds: 1 }));
  const analysis = analyseSong(notes, { comfortable: { low: 45, high: 64 } });
  const programme = songProgramme(analysis ? [{ id: 'high', analysis, seconds: 3 }] : []);
  expect(programme?.order).toMatchObject([{ outside: 0, lowest: 60, highest: 64 }]);
});

test('nothing is no programme', () => {
  expect(songProgramme([])).toBeNull();
});
