import { patternOfMelody, readAbc } from './index.ts';

const tune = (music: string, head = ''): string => `X:1\nT:Weir\nL:1/4\n${head}K:C\n${music}\n`;

/** The tune over C4. */
const over = async (text: string): Promise<string> => patternOfMelody(await readAbc(text), 60, 'major').pattern;

test.each<[string, string, string]>([
  ['notes, octaves and lengths', 'C D2 E/ c C,', '1 2:2 3:1/2 8 1,'],
  ['a dotted pair', 'C>D E<F', '1:3/2 2:1/2 3:1/2 4:3/2'],
  ['a triplet', '(3CDE F', '1:2/3 2:2/3 3:2/3 4'],
  ['a tie over a bar', 'C-|C D', '1:2 2'],
  ['an accidental that holds to the bar line', '^F F|F', 'b5 b5 4'],
  ['a natural', '_E =E', 'b3 3'],
  ['rests inside, not around', 'z C z2 D z', '1 r:2 2'],
  ['a slide', '!slide!C G', '1~5:2'],
  ['a comment and an empty line', 'C % the first\nD E', '1 2 3'],
])('%s', async (_, music, pattern) => {
  expect(await over(tune(music))).toBe(pattern);
  expect((await readAbc(tune(music))).dropped).toEqual([]);
});

test.each<[string, string, number | undefined, string | undefined]>([
  ['K:C', 'C', 0, 'major'],
  ['K:Bb', 'C', 10, 'major'],
  ['K:F#m', 'C', 6, 'minor'],
  ['K:Amin', 'C', 9, 'minor'],
  ['K:D dorian', 'C', 2, 'dorian'],
  ['K:GMix', 'C', 7, 'mixolydian'],
  ['K:ELoc', 'C', 4, undefined],
  ['K:C clef=bass', 'C', 0, 'major'],
])('the tonic of %s', async (key, music, tonicClass, mode) => {
  const melody = await readAbc(`X:1\nL:1/4\n${key}\n${music}\n`);
  expect([melody.tonicClass, melody.mode]).toEqual([tonicClass, mode]);
});

test.each<[string, number | undefined, number | undefined]>([
  ['', undefined, 4],
  ['M:3/4\n', undefined, 3],
  ['M:6/8\n', undefined, 3],
  ['M:C|\n', undefined, 4],
  ['Q:1/4=80\n', 80, 4],
  ['Q:3/8=60\n', 90, 4],
  ['Q:1/2=50\n', 100, 4],
])('tempo and bar of %j', async (head, tempo, beatsPerBar) => {
  const melody = await readAbc(tune('C D', head));
  expect([melody.tempo, melody.beatsPerBar]).toEqual([tempo, beatsPerBar]);
});

test.each<[string, string, string]>([
  ['a chord', tune('[CE] D'), 'lost.chords-to-first'],
  ['a grace note', tune('{d}C D'), 'lost.graces'],
  ['a second tune', `${tune('C D')}\n${tune('E F').replace('X:1', 'X:2')}`, 'lost.tunes'],
  ['a second voice', tune('[V:1] C D\n[V:2] E F', 'V:1\nV:2\n'), 'lost.voices'],
])('%s is left out, and that is said', async (_, text, dropped) => {
  expect([await over(text), (await readAbc(text)).dropped.map(({ code }) => code)]).toEqual(['1 2', [dropped]]);
});

test('words lie under their notes: parted syllables, held ones, and notes without any', async () => {
  const { syllables } = patternOfMelody(await readAbc(tune('C D E F G\nw: lan-tern_ low')), 60, 'major');
  expect(syllables).toBe('lan tern _ low _');
});
