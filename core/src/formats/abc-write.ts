import { fraction, simplestFraction, type Fraction } from '../pattern/index.ts';
import { keyName, plainSigns, spellDegree } from '../pitch/index.ts';
import type { Melody } from '../song/index.ts';
import { tupletOf } from './note-values.ts';
import { sungOf, type Sung } from './sung.ts';

const MODE_NAMES = { major: '', minor: 'm', 'harmonic-minor': 'm', dorian: 'dor', mixolydian: 'mix' } as const;
const NOTES_A_LINE = 16;

/** A pitch in ABC: C is middle C, c the octave above, with commas and strokes beyond; the accidental always written. */
function pitchText(midi: number): string {
  const { letter, accidental, octave } = spellDegree(midi, 0, 0);
  const sign = accidental === '♯' ? '^' : accidental === '♭' ? '_' : '=';
  const name = octave >= 5 ? letter.toLowerCase() + "'".repeat(octave - 5) : letter + ','.repeat(4 - octave);
  return sign + name;
}

function lengthText({ numerator, denominator }: Fraction): string {
  const top = numerator === 1n ? '' : String(numerator);
  return denominator === 1n ? top : `${top}/${String(denominator)}`;
}

type Tuplet = ReturnType<typeof tupletOf>;

/** The notation has tuplets up to nine; longer ones are written as plain fractions. */
const LARGEST_TUPLET = 9;

function tupletFor(beats: number): Tuplet {
  const tuplet = tupletOf(beats);
  return tuplet && tuplet.actual <= LARGEST_TUPLET ? tuplet : null;
}

function noteText({ midi, beats, slide }: Sung, tuplet: Tuplet): string {
  const exact = simplestFraction(beats);
  const written = tuplet
    ? fraction(exact.numerator * BigInt(tuplet.actual), exact.denominator * BigInt(tuplet.normal))
    : exact;
  const pitch = midi === undefined ? 'z' : pitchText(midi);
  return `${slide === 'start' ? '!slide!' : ''}${pitch}${lengthText(written)}`;
}

/** How many equal notes from here on stand under one tuplet sign, no more than fill it; 0 where none does. */
function tupletRun(line: readonly Sung[], from: number): number {
  const tuplet = tupletFor(line[from]?.beats ?? 1);
  if (!tuplet) return 0;
  const run = line.slice(from, from + tuplet.actual);
  const end = run.findIndex(({ beats }) => beats !== line[from]?.beats);
  return end < 0 ? run.length : end;
}

/** The notes of a line. An unfinished tuplet has its sign as well: readers take no plain length of a third. */
function musicOf(line: readonly Sung[]): string {
  const words: string[] = [];
  for (let index = 0; index < line.length;) {
    const run = tupletRun(line, index);
    const notes = line.slice(index, index + Math.max(1, run));
    const tuplet = run > 0 ? tupletFor(notes[0]?.beats ?? 1) : null;
    const sign = tuplet ? `(${String(tuplet.actual)}:${String(tuplet.normal)}:${String(run)}` : '';
    words.push(sign + notes.map((note) => noteText(note, tuplet)).join(' '));
    index += notes.length;
  }
  return words.join(' ');
}

/** Syllables of a line of notes, as ABC aligns them: `_` goes on. */
function wordsOf(line: readonly Sung[]): string {
  return line
    .filter(({ midi }) => midi !== undefined)
    .map(({ syllable, continues }) =>
      continues || syllable === undefined ? '_' : syllable.replaceAll('-', '\\-').replaceAll('_', '\\_'),
    )
    .join(' ');
}

/** A title on one line, as a header field needs it. */
function oneLine(text: string): string {
  return text.replaceAll(/\s+/g, ' ').trim();
}

/**
 * A melody as an ABC tune, quarter notes as the unit, every accidental written out, glides as slides.
 *
 * @example abcOf(melodyOf(parsePattern('1 2 3:2'), 60, 'Three', 84)) // 'X:1\nT:Three\n…=C =D =E2|]'
 */
export function abcOf(melody: Melody, number = 1): string {
  const { tonicClass = 0, mode = 'major', tempo = 84, events } = melody;
  const key = plainSigns(keyName(tonicClass));
  const hasWords = events.some(({ syllable }) => syllable !== undefined);
  const lines: string[] = [];
  const sung = events.flatMap(sungOf);
  for (let from = 0; from < sung.length; from += NOTES_A_LINE) {
    const line = sung.slice(from, from + NOTES_A_LINE);
    const isLast = from + NOTES_A_LINE >= sung.length;
    lines.push(musicOf(line) + (isLast ? ' |]' : ''));
    if (hasWords) lines.push(`w: ${wordsOf(line)}`);
  }
  return [
    `X:${String(number)}`,
    `T:${oneLine(melody.title)}`,
    'M:none',
    'L:1/4',
    `Q:1/4=${String(tempo)}`,
    `K:${key}${MODE_NAMES[mode]}`,
    ...lines,
    '',
  ].join('\n');
}
