import * as Note from '@tonaljs/note';
import { FormatError } from '../errors.ts';
import type { Mode } from '../pattern/index.ts';
import { checkText } from './check-text.ts';
import { withPlainTuplets } from './abc-tuplets.ts';
import type { Melody } from '../song/index.ts';
import { closeTies, type RawNote } from './raw-notes.ts';
import { noNotes } from './no-notes.ts';

/** What the reading of a tune is made from; the library's own types do not name all of it. */
interface Tune {
  readonly metaText?: {
    readonly title?: string;
    readonly tempo?: { readonly bpm?: number; readonly duration?: readonly number[] };
  };
  readonly warnings?: readonly string[];
  readonly lines: readonly { readonly staff?: readonly Staff[] }[];
  readonly getMeterFraction: () => { readonly num: number; readonly den?: number };
  readonly setUpAudio: () => { readonly tracks: readonly (readonly Command[])[] };
}
interface Staff {
  readonly key?: { readonly root: string; readonly acc: string; readonly mode: string };
  readonly voices?: readonly (readonly Element[])[];
}
interface Element {
  readonly el_type: string;
  readonly startChar: number;
  readonly decoration?: readonly string[];
  readonly lyric?: readonly { readonly syllable: string }[];
  readonly pitches?: readonly unknown[];
}
interface Command {
  readonly cmd: string;
  readonly pitch: number;
  readonly start: number;
  readonly duration: number;
  readonly startChar: number;
}

const MODES: Readonly<Record<string, Mode>> = { '': 'major', m: 'minor', Dor: 'dorian', Mix: 'mixolydian' };
const BEATS_A_WHOLE = 4;
/** House choice: a tune of three pages; what reads it takes longer than in proportion. Characters. */
const LONGEST_TUNE = 8000;
const LONGEST_LINE = 2000;
/** Shorter gaps come from the library's rounding to a millionth of a whole note. Beats. */
const SHORTEST_REST = 1 / 1000;

function pitchClassOf({ root, acc }: NonNullable<Staff['key']>): number | undefined {
  return Note.chroma(`${root}${acc === 'sharp' ? '#' : acc === 'flat' ? 'b' : acc}`);
}

/** The first tune of a file: up to the empty line that ends it. */
function firstTune(text: string): string {
  const lines = text.split(/\r?\n/);
  const begins = lines.findIndex((line) => line.startsWith('X:'));
  const ends = lines.findIndex((line, index) => index > Math.max(0, begins) && line.trim() === '');
  return lines.slice(Math.max(0, begins), ends < 0 ? undefined : ends).join('\n');
}

function checkLength(tune: string): void {
  if (tune.length <= LONGEST_TUNE && tune.split('\n').every((line) => line.length <= LONGEST_LINE)) return;
  throw new FormatError(
    'TOO_LARGE',
    `The tune is longer than ${String(LONGEST_TUNE)} characters, or has a line of more than ${String(LONGEST_LINE)}.`,
    'Cut it down to the bars you need.',
    { context: 'tune', most: LONGEST_TUNE, line: LONGEST_LINE },
  );
}

/** A tune with its lines of music changed one by one; fields, such as `K:C`, stay as they are. */
function inMusic(tune: string, change: (line: string) => string): string {
  return tune
    .split('\n')
    .map((line) => (/^[A-Za-z]:/.test(line) ? line : change(line)))
    .join('\n');
}

/** A line of music without its grace notes, which would be played out of the time of their neighbours. */
function withoutGraces(line: string): string {
  let kept = '';
  let isGrace = false;
  for (const sign of line) {
    if (sign === '{') isGrace = true;
    if (!isGrace) kept += sign;
    if (sign === '}') isGrace = false;
  }
  return kept;
}

/** Where the library could not read on: it says so in a sentence of its own, with the line in front and the sign in HTML. */
function unread(warning: string): {
  readonly code: 'lost.sign';
  readonly values: { readonly line: number; readonly sign: string };
} {
  const line = /^[\w ]+:(\d+):/.exec(warning)?.[1];
  const sign = /<span[^<>]*>([^<>]*)<\/span>/.exec(warning)?.[1] ?? '';
  return { code: 'lost.sign', values: { line: Number(line ?? 1), sign: sign === 'SPACE' ? ' ' : sign } };
}

function gaps(commands: readonly Command[], elements: ReadonlyMap<number, Element>): readonly RawNote[] {
  const notes: RawNote[] = [];
  let clock = 0;
  for (const { pitch, start, duration, startChar } of commands) {
    const rest = (start - clock) * BEATS_A_WHOLE;
    if (rest > SHORTEST_REST) notes.push({ beats: rest });
    const element = elements.get(startChar);
    const syllable = element?.lyric?.[0]?.syllable;
    notes.push({
      midi: pitch,
      beats: duration * BEATS_A_WHOLE,
      ...(syllable && { syllable }),
      slidesOn: element?.decoration?.includes('slide') ?? false,
    });
    clock = start + duration;
  }
  return notes;
}

/**
 * Reads one voice of the first tune of an ABC file.
 *
 * @throws FormatError `EMPTY_FILE`, `TOO_LARGE`, `WRONG_ENCODING`, `WRONG_KIND`, `NO_NOTES`
 */
export async function readAbc(text: string): Promise<Melody> {
  checkText(text);
  if (!/^K:/m.test(text))
    throw new FormatError(
      'WRONG_KIND',
      'This is no ABC tune: it has no line “K:” with its key.',
      'Add K:C and try again.',
      { context: 'abc' },
    );
  const written = firstTune(text);
  checkLength(written);
  const plainNotes = inMusic(written, withoutGraces);
  // Larger than all that is read and written here together, and wanted by few.
  const { default: abcjs } = await import('abcjs');
  const [tune] = abcjs.parseOnly(inMusic(plainNotes, withPlainTuplets)) as unknown as readonly Tune[];
  const tunes = text.match(/^X:/gm)?.length ?? 1;
  if (!tune) throw noNotes();
  const staves = tune.lines.flatMap(({ staff }) => staff ?? []);
  const elements = new Map(
    staves.flatMap(({ voices }) => voices ?? []).flatMap((voice) => voice.map((one) => [one.startChar, one] as const)),
  );
  const tracks = tune
    .setUpAudio()
    .tracks.map((track) => track.filter(({ cmd }) => cmd === 'note'))
    .filter((track) => track.length > 0);
  const [voice] = tracks;
  if (!voice) throw noNotes();
  const starts = new Set<number>();
  const single = voice.filter(({ start }) => !starts.has(start) && starts.add(start));
  const dropped = [
    ...(tunes > 1 ? [{ code: 'lost.tunes', values: { count: tunes } } as const] : []),
    ...(tracks.length > 1 ? [{ code: 'lost.voices' } as const] : []),
    ...(single.length < voice.length ? [{ code: 'lost.chords-to-first' } as const] : []),
    ...(plainNotes !== written ? [{ code: 'lost.graces' } as const] : []),
    ...(tune.warnings ?? []).map(unread),
  ];
  const key = staves[0]?.key;
  const tonicClass = key && pitchClassOf(key);
  const mode = key && MODES[key.mode];
  const tempo = tune.metaText?.tempo;
  const { num, den = BEATS_A_WHOLE } = tune.getMeterFraction();
  return {
    title: tune.metaText?.title ?? 'From a tune',
    events: closeTies(gaps(single, elements)),
    ...(num > 0 && { beatsPerBar: (num * BEATS_A_WHOLE) / den }),
    ...(tempo?.bpm !== undefined && { tempo: tempo.bpm * (tempo.duration?.[0] ?? 1 / 4) * BEATS_A_WHOLE }),
    ...(tonicClass !== undefined && { tonicClass }),
    ...(mode && { mode }),
    dropped,
  };
}
