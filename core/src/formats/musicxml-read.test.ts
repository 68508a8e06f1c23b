import { formatPattern, parsePattern } from '../pattern/index.ts';
import { patternOfMelody, proposeTonic, readMusicXml } from './index.ts';

/** A note of a score; `C4` with quarters of two divisions unless told otherwise. */
const note = (pitch: string, inside = '', duration = 2): string =>
  `<note><pitch><step>${pitch.charAt(0)}</step>${pitch.includes('#') ? '<alter>1</alter>' : ''}<octave>${pitch.slice(-1)}</octave></pitch><duration>${String(duration)}</duration>${inside}</note>`;
const rest = (duration = 2): string => `<note><rest/><duration>${String(duration)}</duration></note>`;
const attributes = (inside = ''): string => `<attributes><divisions>2</divisions>${inside}</attributes>`;
const key = (fifths: number, mode: string): string =>
  `<key><fifths>${String(fifths)}</fifths><mode>${mode}</mode></key>`;
const measures = (...bars: readonly string[]): string => bars.map((bar) => `<measure>${bar}</measure>`).join('');
const score = (part: string, before = ''): string =>
  `<?xml version="1.0"?><score-partwise>${before}<part id="P1">${part}</part></score-partwise>`;

/** The tune over C4, and what was said of what could not be kept. */
function read(text: string): { readonly tune: string; readonly dropped: readonly string[] } {
  const melody = readMusicXml(text);
  const { pattern } = patternOfMelody(melody, 60, 'major');
  return { tune: pattern, dropped: melody.dropped.map(({ code }) => code) };
}

const THREE = note('C4') + note('D4') + note('E4');

test.each<[string, string, string, string | null]>([
  ['plain notes', measures(attributes() + THREE), '1 2 3', null],
  ['lengths by the divisions', measures(attributes() + note('C4', '', 1) + note('D4', '', 3)), '1:1/2 2:3/2', null],
  [
    'divisions that change',
    measures(attributes() + note('C4'), '<attributes><divisions>4</divisions></attributes>' + note('D4')),
    '1 2:1/2',
    null,
  ],
  [
    'rests inside, not around',
    measures(attributes() + rest() + note('C4') + rest(4) + note('D4') + rest()),
    '1 r:2 2',
    null,
  ],
  [
    'ties over a bar',
    measures(attributes() + note('C4', '<tie type="start"/>'), note('C4', '<tie type="stop"/>') + note('D4')),
    '1:2 2',
    null,
  ],
  [
    'a tie of three',
    measures(
      attributes() +
        note('C4', '<tie type="start"/>') +
        note('C4', '<tie type="stop"/><tie type="start"/>') +
        note('C4', '<tie type="stop"/>'),
    ),
    '1:3',
    null,
  ],
  [
    'a slide',
    measures(
      attributes() +
        note('C4', '<notations><slide type="start"/></notations>') +
        note('G4', '<notations><slide type="stop"/></notations>'),
    ),
    '1~5:2',
    null,
  ],
  [
    'a part that sounds an octave lower',
    measures(attributes('<transpose><chromatic>-12</chromatic></transpose>') + note('C5') + note('E5')),
    '1 3',
    null,
  ],
  ['a chord', measures(attributes() + note('C4') + note('E4', '<chord/>') + note('D4')), '1 2', 'lost.chords-to-first'],
  ['a grace note', measures(attributes() + note('B4', '<grace/>') + THREE), '1 2 3', 'lost.graces'],
  [
    'a second voice',
    measures(
      attributes() +
        note('C4', '<voice>1</voice>') +
        '<backup><duration>2</duration></backup>' +
        note('G4', '<voice>2</voice>'),
    ),
    '1',
    'lost.voices',
  ],
  [
    'a voice that is not called 1',
    measures(attributes() + note('C4', '<voice>5</voice>') + note('D4', '<voice>5</voice>')),
    '1 2',
    null,
  ],
  [
    'repeats',
    measures(attributes() + THREE + '<barline><repeat direction="backward"/></barline>'),
    '1 2 3',
    'lost.repeats',
  ],
  [
    'two endings',
    measures(attributes() + THREE + '<barline><ending number="1" type="start"/></barline>'),
    '1 2 3',
    'lost.repeats',
  ],
  [
    'a key that changes',
    measures(attributes(key(0, 'major')) + note('C4'), attributes(key(2, 'major')) + note('D4')),
    '1 2',
    'lost.keys',
  ],
  [
    'the same key again',
    measures(attributes(key(0, 'major')) + note('C4'), attributes(key(0, 'major')) + note('D4')),
    '1 2',
    null,
  ],
  [
    'a tempo that changes',
    measures(attributes() + '<sound tempo="80"/>' + note('C4') + '<sound tempo="96"/>' + note('D4')),
    '1 2',
    'lost.tempos',
  ],
  ['a note outside the mode', measures(attributes() + note('C4') + note('F#4')), '1 b5', null],
])('%s', (_, part, tune, dropped) => {
  expect(read(score(part))).toEqual({ tune, dropped: dropped === null ? [] : [dropped] });
});

test.each<[string, string, ReturnType<typeof readMusicXml>['tempo'], number | undefined]>([
  ['a sound of the bar', '<sound tempo="72"/>', 72, undefined],
  [
    'a direction with a sound',
    '<direction><direction-type><words>calm</words></direction-type><sound tempo="60"/></direction>',
    60,
    undefined,
  ],
  [
    'a metronome mark',
    '<direction><direction-type><metronome><beat-unit>quarter</beat-unit><per-minute>88</per-minute></metronome></direction-type></direction>',
    88,
    undefined,
  ],
  ['words alone', '<direction><direction-type><words>calm</words></direction-type></direction>', undefined, undefined],
  ['six eighths', attributes('<time><beats>6</beats><beat-type>8</beat-type></time>'), undefined, 3],
])('tempo and bar: %s', (_, before, tempo, beatsPerBar) => {
  const melody = readMusicXml(score(measures(attributes() + before + THREE)));
  expect([melody.tempo, melody.beatsPerBar]).toEqual([tempo, beatsPerBar]);
});

test.each<[string, string, number | undefined, string | undefined]>([
  ['two sharps', key(2, 'major'), 2, 'major'],
  ['three flats, minor', key(-3, 'minor'), 0, 'minor'],
  ['a church mode', key(0, 'dorian'), 2, 'dorian'],
  ['an old name for major', key(-1, 'ionian'), 5, 'major'],
  ['a mode that has no scale here', key(0, 'locrian'), 0, undefined],
  ['no key', '', undefined, 'major'],
])('the tonic of %s', (_, written, tonicClass, mode) => {
  const melody = readMusicXml(score(measures(attributes(written) + THREE)));
  expect([melody.tonicClass, melody.mode]).toEqual([tonicClass, mode]);
});

test('syllables go with their notes; one that is held goes on, and the words come back', () => {
  const lyric = (text: string): string => `<lyric><text>${text}</text></lyric>`;
  const melody = readMusicXml(
    score(measures(attributes() + note('C4', lyric('no')) + note('D4') + note('E4', lyric('ne')))),
  );
  expect(patternOfMelody(melody, 60, 'major').syllables).toBe('no _ ne');
});

test('of several parts the first with notes is read, and that is said; a title is found where it stands', () => {
  const parts = `<part id="P1">${measures(attributes() + rest())}</part><part id="P2">${measures(attributes() + THREE)}</part>`;
  const melody = readMusicXml(`<score-partwise><movement-title>Weir song</movement-title>${parts}</score-partwise>`);
  expect([melody.title, melody.dropped]).toEqual(['Weir song', [{ code: 'lost.parts', values: { count: 2 } }]]);
  expect(
    readMusicXml(score(measures(attributes() + THREE), '<work><work-title>Lock song</work-title></work>')).title,
  ).toBe('Lock song');
  expect(readMusicXml(score(measures(attributes() + THREE))).title).toBe('From a score');
});

test.each<[string, string, number, number]>([
  ['begins on its tonic', '1 2 3 2 1', 60, 60],
  ['dips a fourth under it', '1 5, 1 3 5 8', 60, 60],
  ['falls to it', '5 4 3 2 1', 55, 55],
])('the tonic proposed for a tune that %s', (_, text, tonic, proposed) => {
  const { events, mode } = parsePattern(text);
  const tune = {
    events: events.map(({ from, beats }) => ({ midi: tonic + (from ?? 0), beats })),
    tonicClass: tonic % 12,
  };
  expect(proposeTonic(tune)).toBe(proposed);
  expect(patternOfMelody({ title: '', dropped: [], ...tune }, proposed, mode).pattern).toBe(
    formatPattern(parsePattern(text)),
  );
});
