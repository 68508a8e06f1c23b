import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { parsePattern, formatPattern, type Pattern } from '../pattern/index.ts';
import { patternTexts } from '../testing/arbitraries.ts';
import {
  abcOf,
  melodyOf,
  midiFileOf,
  musicXmlOf,
  patternOfMelody,
  readAbc,
  readMidiFile,
  readMusicXml,
  unpackMusicXml,
} from './index.ts';
import type { Melody } from '../song/index.ts';

const TONIC = 57;
/** A score as programs compress it: its place named in a container. */
const packed = (score: string): Uint8Array =>
  zipSync({
    'META-INF/container.xml': strToU8('<container><rootfile full-path="score.musicxml"/></container>'),
    'score.musicxml': strToU8(score),
  });
const WAYS: Readonly<Record<string, (melody: Melody) => Melody | Promise<Melody>>> = {
  MusicXML: (melody) => readMusicXml(musicXmlOf(melody)),
  'compressed MusicXML': (melody) => readMusicXml(unpackMusicXml(packed(musicXmlOf(melody)))),
  ABC: (melody) => readAbc(abcOf(melody)),
  MIDI: (melody) => readMidiFile(midiFileOf(melody)),
};

async function back(pattern: Pattern, way: (melody: Melody) => Melody | Promise<Melody>): Promise<string> {
  const melody = await way(melodyOf(pattern, TONIC, 'A tune', 96));
  return patternOfMelody(melody, TONIC, pattern.mode).pattern;
}

/** What a format cannot carry is taken off first: joined glides everywhere, all glides in MIDI. */
function carried(pattern: Pattern, isMidi: boolean): Pattern {
  const text = formatPattern(pattern)
    .split(' ')
    .map((token) => {
      if (!token.includes('~')) return token;
      const [points = '', beats = '1'] = token.split(':');
      const notes = points.split('~');
      const [top = '1', bottom = '1'] = beats.split('/');
      const each = (count: number): string => `${top}/${String(Number(bottom) * count)}`;
      if (isMidi)
        return notes
          .slice(1)
          .map(
            (to, index) =>
              `${notes[index] ?? ''}:${each(2 * (notes.length - 1))} ${to}:${each(2 * (notes.length - 1))}`,
          )
          .join(' ');
      return notes
        .slice(1)
        .map((to, index) => `${notes[index] ?? ''}~${to}:${each(notes.length - 1)}`)
        .join(' ');
    })
    .join(' ');
  return parsePattern(text, { mode: pattern.mode });
}

const trimmed = (text: string): string => {
  const tokens = text.split(' ');
  const sounds = (token: string): boolean => !token.startsWith('r');
  const last = tokens.length - [...tokens].reverse().findIndex(sounds);
  return tokens.slice(tokens.findIndex(sounds), last).join(' ');
};
/** Neighbouring rests are one silence in every format. */
const silence = (text: string): string => {
  const tokens = text.split(' ');
  const isRest = (token: string): boolean => token.startsWith('r');
  return tokens.filter((token, index) => !(isRest(token) && isRest(tokens[index - 1] ?? ''))).length === tokens.length
    ? text
    : '';
};

describe.each(Object.entries(WAYS))('through %s and back', (name, way) => {
  test.each([
    '1 2 3 4 5 4 3 2 1:2',
    '(1 2 3 4 5 4 3 2)x2:1/2 1:2',
    '(1 2 1 7,)x3:1/4 1:2',
    '(8 7 6 7 6 5 6 5 4 5 4 3 4 3 2):1/3 1:3',
    '1 r 3 r:1/2 5:3/2 r 3:3 1:16',
    '(1:5 r)x3 1:1',
    '(1 2 3 2)x4:1/3',
    '1:1/3 2:2/3 3 1:1/3 2:1/3 1',
    '1:1/5 2:2/5 3:2/5 1:7/4',
    '1:1/60 1:1/60 1:1/60 3:1/60 1',
    '1 5 8 12 15 12 8 5 1:2',
    "b3 #4 1' 5, 1",
  ])('%s', async (text) => {
    const pattern = parsePattern(text);
    expect(await back(pattern, way)).toBe(formatPattern(pattern));
  });

  test('every pattern whose lengths the format has', async () => {
    await fc.assert(
      fc.asyncProperty(patternTexts, async (text) => {
        let pattern: Pattern;
        try {
          pattern = carried(parsePattern(text), name === 'MIDI');
        } catch {
          return;
        }
        const isFine = pattern.events.every(
          ({ beats }) => Math.abs(beats * 60 - Math.round(beats * 60)) < 1e-9 && beats < 64,
        );
        const written = trimmed(formatPattern(pattern));
        if (!isFine || silence(written) === '') return;
        expect(await back(pattern, way)).toBe(written);
      }),
      { numRuns: 500 },
    );
  });

  test('words, title, key and tempo come back too', async () => {
    const pattern = parsePattern('1 2 3 r 4 5:2', { mode: 'minor', syllables: 'lan- tern _ by boat' });
    const melody = await way(melodyOf(pattern, 54, 'Lamps & locks', 92));
    expect([melody.title, melody.tempo, melody.dropped]).toEqual(['Lamps & locks', 92, []]);
    expect(patternOfMelody(melody, 54, 'minor').syllables).toBe('lan- tern _ by boat');
    if (name !== 'MIDI') expect([melody.tonicClass, melody.mode]).toEqual([6, 'minor']);
  });
});

test.each([
  ['whole triplets', '1:1/3 2:1/3 3:1/3 1', '(3:2:3=C/2 =D/2 =E/2 =C'],
  ['a triplet that is not finished', '1:1/3 2:1/3 1', '(3:2:2=C/2 =D/2 =C'],
  ['one third alone', '1:1/3 1', '(3:2:1=C/2 =C'],
  ['thirds of different lengths', '1:1/3 2:2/3 1', '(3:2:1=C/2 (3:2:1=D =C'],
  ['no more than fill it', '(1)x4:1/3', '(3:2:3=C/2 =C/2 =C/2 (3:2:1=C/2'],
  ['lengths there is no tuplet for', '1:1/11 1', '=C/11 =C'],
])('ABC writes %s so that every reader takes it', (_, text, music) => {
  expect(abcOf(melodyOf(parsePattern(text), 60, 'A tune', 96))).toContain(`\n${music} |]`);
});
