/// <reference types="node" />
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { formatPattern, isSounding, parsePattern, type Mode } from '../pattern/index.ts';
import { abcOf, melodyOf, patternOfMelody, readAbc, readMidiFile } from './index.ts';
import type { Melody } from '../song/index.ts';

interface Written {
  readonly name: string;
  readonly pattern: string;
  readonly mode: Mode;
  readonly syllables: string;
  readonly tonic: number;
  readonly tempo: number;
}

const folder = join(__dirname, 'fixtures');
const bytes = (name: string): Uint8Array => readFileSync(join(folder, name));
const written = JSON.parse(readFileSync(join(folder, 'patterns.json'), 'utf8')) as readonly Written[];
const notesOf = ({ events }: Melody): readonly number[] => events.flatMap(({ midi }) => midi ?? []);

describe.each(written)('$name', ({ name, pattern: text, mode, syllables, tonic }) => {
  const pattern = parsePattern(text, { mode, syllables });

  test.each(['lilypond', 'abc2midi'])('what %s made of it has the same notes and lengths', (program) => {
    const melody = readMidiFile(bytes(`${name}-${program}.midi`));
    expect(patternOfMelody(melody, tonic, mode).pattern).toBe(formatPattern(pattern));
  });

  test('midicsv lists every note where it stands', () => {
    const rows = readFileSync(join(folder, `${name}-midicsv.csv`), 'utf8')
      .split('\n')
      .map((row) => row.split(', '));
    const ticksPerBeat = Number(rows[0]?.[5]);
    let clock = 0;
    const expected = pattern.events.flatMap((event) => {
      const at = Math.round(clock * ticksPerBeat);
      clock += event.beats;
      return isSounding(event) ? [[at, Math.round(clock * ticksPerBeat), tonic + event.from]] : [];
    });
    const on = rows.filter(([, , type]) => type === 'Note_on_c');
    const off = rows.filter(([, , type]) => type === 'Note_off_c');
    expect(on.map((row, index) => [Number(row[1]), Number(off[index]?.[1]), Number(row[4])])).toEqual(expected);
  });
});

test('a tune in two voices with a chord and a grace note, as text and as another program’s MIDI', async () => {
  const abc = await readAbc(readFileSync(join(folder, 'two-boats.abc'), 'utf8'));
  expect(notesOf(abc)).toEqual([63, 67, 70, 72, 70, 72, 70, 68, 67]);
  expect([abc.title, abc.tempo, abc.tonicClass, abc.mode]).toEqual(['Two boats', 80, 3, 'major']);
  expect(abc.dropped.map(({ code }) => code)).toEqual(['lost.voices', 'lost.chords-to-first', 'lost.graces']);
  expect(
    abc.events
      .map(({ syllable }) => syllable)
      .filter(Boolean)
      .slice(0, 4),
  ).toEqual(['Two', 'boats', 'a', 'board,']);
  const midi = readMidiFile(bytes('two-boats.midi'));
  expect(notesOf(midi).slice(0, 3)).toEqual([63, 67, 70]);
  expect(midi.dropped.map(({ code }) => code)).toEqual(
    expect.arrayContaining(['lost.tracks', 'lost.chords-to-highest']),
  );
});

test('repeats of a tune are played out', async () => {
  const { events } = await readAbc('X:1\nT:Again\nL:1/4\nK:C\n|:C D:|E4|]\n');
  expect(events.map(({ midi, beats }) => [midi, beats])).toEqual([
    [60, 1],
    [62, 1],
    [60, 1],
    [62, 1],
    [64, 4],
  ]);
  expect(abcOf(melodyOf(parsePattern('1'), 60, 'One\nT:two', 84))).toContain('T:One T:two\n');
});
