import { strToU8, zipSync } from 'fflate';
import { writeMidi, type MidiEvent } from 'midi-file';
import { shippedExercises } from '../shelf/index.ts';
import {
  checkKind,
  exerciseFileOf,
  LARGEST_FILE,
  melodyOf,
  midiFileOf,
  musicXmlOf,
  openExerciseFile,
  planImport,
  readAbc,
  readExercise,
  readMidiFile,
  readMusicXml,
  unpackMusicXml,
} from './index.ts';
import { parsePattern } from '../pattern/index.ts';

const score = musicXmlOf(melodyOf(parsePattern('1 2 3'), 60, 'Three', 84));
const BOMB = `<?xml version="1.0"?><!DOCTYPE a [<!ENTITY l "lol"><!ENTITY m "&l;&l;&l;">]><score-partwise>&m;</score-partwise>`;
const OUTSIDE = `<?xml version="1.0"?><!DOCTYPE a [<!ENTITY f SYSTEM "file:///etc/passwd">]><score-partwise>&f;</score-partwise>`;

/** A file of one note, its division as told. */
function midiWithDivision(division: number): Uint8Array {
  const bytes = Uint8Array.from(midiFileOf(melodyOf(parsePattern('1'), 60, 'One', 84)));
  bytes.set([division >> 8, division & 255], 12);
  return bytes;
}

test.each<[string, () => unknown, string]>([
  ['empty XML', () => readMusicXml(''), 'EMPTY_FILE'],
  ['XML cut off', () => readMusicXml(score.slice(0, 500)), 'BROKEN_FILE'],
  ['an entity bomb', () => readMusicXml(BOMB), 'UNSAFE_FILE'],
  ['an external entity', () => readMusicXml(OUTSIDE), 'UNSAFE_FILE'],
  ['a web page', () => readMusicXml('<html><body/></html>'), 'WRONG_KIND'],
  ['a time-wise score', () => readMusicXml('<score-timewise version="4.0"/>'), 'WRONG_KIND'],
  ['a score without notes', () => readMusicXml('<score-partwise><part id="P1"/></score-partwise>'), 'NO_NOTES'],
  ['wrong encoding', () => readMusicXml(score.replace('Three', '\uFFFD')), 'WRONG_ENCODING'],
  ['10 MiB and more', () => readMusicXml(' x'.repeat(LARGEST_FILE / 2 + 1)), 'TOO_LARGE'],
  ['a broken archive', () => unpackMusicXml(strToU8('PK\u0003\u0004nonsense')), 'BROKEN_FILE'],
  ['an archive without a score', () => unpackMusicXml(zipSync({ 'a.txt': strToU8('a') })), 'WRONG_KIND'],
  [
    'a ZIP bomb',
    () => unpackMusicXml(zipSync({ 'score.xml': new Uint8Array(LARGEST_FILE + 1) }, { level: 9 })),
    'TOO_LARGE',
  ],
  ['a note that never ends', () => readMusicXml(score.replace(/<duration>\d+</, '<duration>Infinity<')), 'BROKEN_FILE'],
  ['a note of 1e308', () => readMusicXml(score.replace(/<duration>\d+</, '<duration>1e308<')), 'BROKEN_FILE'],
  ['a pitch far off', () => readMusicXml(score.replace('<octave>', '<alter>1e9</alter><octave>')), 'BROKEN_FILE'],
  ['XML 100,000 deep', () => readMusicXml(`<a>${'<a>'.repeat(1e5)}${'</a>'.repeat(1e5)}</a>`), 'BROKEN_FILE'],
  [
    'an archive that asks for a built-in by name',
    () => unpackMusicXml(zipSync({ 'META-INF/container.xml': strToU8('<a full-path="constructor"/>') })),
    'WRONG_KIND',
  ],
  ['a tune of 126 kB', () => readAbc(`X:1\nL:1/4\nK:C\n${'C D E F |\n'.repeat(12_600)}`), 'TOO_LARGE'],
  ['a line of braces', () => readAbc(`X:1\nL:1/4\nK:C\n${'{'.repeat(1900)}\n`), 'NO_NOTES'],
  ['MIDI with beats of no ticks', () => readMidiFile(midiWithDivision(0)), 'BROKEN_FILE'],
  ['empty ABC', () => readAbc('\n'), 'EMPTY_FILE'],
  ['text that is no tune', () => readAbc('Dear Ottoline,\nsee you on Friday.\n'), 'WRONG_KIND'],
  ['a tune of rests', () => readAbc('X:1\nT:Quiet\nL:1/4\nK:C\nz4|\n'), 'NO_NOTES'],
  ['empty MIDI', () => readMidiFile(new Uint8Array()), 'EMPTY_FILE'],
  ['text as MIDI', () => readMidiFile(strToU8('MThat is no MIDI')), 'BROKEN_FILE'],
  [
    'MIDI cut off',
    () => readMidiFile(midiFileOf(melodyOf(parsePattern('1 2'), 60, 'x', 84)).slice(0, 40)),
    'BROKEN_FILE',
  ],
  ['zero tracks', () => readMidiFile(Uint8Array.from([77, 84, 104, 100, 0, 0, 0, 6, 0, 1, 0, 0, 1, 224])), 'NO_NOTES'],
  ['empty JSON', () => openExerciseFile(' '), 'EMPTY_FILE'],
  ['JSON cut off', () => openExerciseFile('{"kind":"soft'), 'BROKEN_FILE'],
  ['JSON of something else', () => openExerciseFile('{"kind":"recipes","version":1,"exercises":[]}'), 'WRONG_KIND'],
  [
    'JSON from a newer schema',
    () => openExerciseFile('{"kind":"soft-lark-exercises","version":7,"exercises":[]}'),
    'NEWER_FILE',
  ],
])('%s is refused in one clear sentence', async (_, read, code) => {
  const thrown: unknown = await Promise.resolve()
    .then(read)
    .catch((error: unknown) => error);
  expect(thrown).toMatchObject({ name: 'FormatError', code });
  expect((thrown as Error).message).toMatch(/^[A-Z].*[.\w)]$/s);
});

const note = (deltaTime: number, noteNumber: number, velocity: number): MidiEvent => ({
  deltaTime,
  type: 'noteOn',
  channel: 0,
  noteNumber,
  velocity,
});
const file = (tracks: MidiEvent[][], running = false): Uint8Array =>
  Uint8Array.from(
    writeMidi({ header: { format: 1, numTracks: tracks.length, ticksPerBeat: 480 }, tracks }, { running }),
  );
const tune = [note(0, 60, 80), note(480, 60, 0), note(0, 64, 80), note(480, 64, 0)];

test('running status, thirty tracks and a tempo of zero are taken, and what is lost is said', () => {
  expect(readMidiFile(file([tune], true)).events).toEqual([
    { midi: 60, beats: 1 },
    { midi: 64, beats: 1 },
  ]);
  expect(readMidiFile(file(Array.from({ length: 30 }, () => tune))).dropped).toEqual([
    { code: 'lost.tracks', values: { count: 30 } },
  ]);
  const still = readMidiFile(file([[{ deltaTime: 0, meta: true, type: 'setTempo', microsecondsPerBeat: 0 }, ...tune]]));
  expect([still.tempo, still.dropped]).toEqual([undefined, [{ code: 'lost.tempo-of-zero' }]]);
});

describe('a file of exercises', () => {
  const shelf = shippedExercises().slice(0, 4);
  const [one, two, three] = shelf;
  if (!one || !two || !three) throw new Error('the shelf is short');

  test('is read back as it was written, collections too', () => {
    const collections = [{ name: 'Mornings', exercises: [one.id] }];
    const read = openExerciseFile(exerciseFileOf(shelf, collections));
    expect(read.items.map(readExercise).map((item) => 'exercise' in item && item.exercise)).toEqual(shelf);
    expect(read.collections).toEqual(collections);
  });

  test('says for each item new, same, changed or refused, with the reason', () => {
    const own = { ...one, id: 'my-own', name: 'My own' };
    const broken = { ...two, id: 'broken', load: 9 };
    const unread = { ...three, id: 'unread', work: { ...one.work, kind: 'pattern', pattern: '1 z', syllables: 'ah' } };
    const wordy = {
      ...own,
      id: 'wordy',
      work: { kind: 'pattern', pattern: '1 2', syllables: 'ah', syllablesAt: { above: 'one two three' } },
    };
    const items = [
      own,
      { ...own, id: 'fresh' },
      one,
      { ...one, why: 'Otherwise.' },
      { ...own, id: 'fresh' },
      broken,
      unread,
      wordy,
    ];
    const text = JSON.stringify({ kind: 'soft-lark-exercises', version: 1, exercises: items });
    const here = new Map([...shelf, { ...own, why: 'Before.' }].map((exercise) => [exercise.id, exercise]));
    const plan = planImport(openExerciseFile(text).items.map(readExercise), here, (id) => id === 'my-own');
    expect(plan.map(({ verdict, index }) => [index, verdict])).toEqual([
      [0, 'changed'],
      [1, 'new'],
      [2, 'same'],
      [3, 'refused'],
      [4, 'refused'],
      [5, 'refused'],
      [6, 'refused'],
      [7, 'refused'],
    ]);
    expect(plan[4]?.reason?.code).toBe('import.twice');
    expect(plan[5]?.reason).toMatchObject({ code: 'fault.at', values: { place: 'load' } });
    expect(plan[6]).toMatchObject({ name: three.name });
  });
});

test.each<[string, readonly number[], string | null]>([
  ['a picture', [0x89, 0x50, 0x4e, 0x47, 0x0d], 'a picture (PNG)'],
  ['a photograph', [0xff, 0xd8, 0xff, 0xe0], 'a picture (JPEG)'],
  ['a recording', [0x52, 0x49, 0x46, 0x46, 0x24], 'a sound recording (WAV)'],
  ['a printed page', [0x25, 0x50, 0x44, 0x46, 0x2d], 'a page to print (PDF)'],
  ['a MIDI file', [0x4d, 0x54, 0x68, 0x64], null],
  ['a file of one byte', [0x89], null],
  ['nothing', [], null],
])('%s is named as what it is', (_, bytes, kind) => {
  const check = (): void => {
    checkKind(Uint8Array.from(bytes));
  };
  if (kind === null) expect(check).not.toThrow();
  else expect(check).toThrow(`This file is ${kind}; no notes are written in it.`);
});
