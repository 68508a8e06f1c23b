import { XMLParser } from 'fast-xml-parser';
import { SyntaxValidator } from 'fast-xml-validator';
import * as Note from '@tonaljs/note';
import { FormatError } from '../errors.ts';
import type { Mode } from '../pattern/index.ts';
import { checkText } from './check-text.ts';
import { tonicOfFifths } from './key-signatures.ts';
import { closeTies, type RawNote } from './raw-notes.ts';
import type { Loss, Melody } from '../song/index.ts';
import { noNotes } from './no-notes.ts';

/** An element as the parser gives it in document order: one key, its children under it, attributes under `:@`. */
type Element = Readonly<Record<string, unknown>>;

const MODES: Readonly<Record<string, Mode>> = {
  major: 'major',
  ionian: 'major',
  minor: 'minor',
  aeolian: 'minor',
  dorian: 'dorian',
  mixolydian: 'mixolydian',
};

/** House choice: a score is nested a dozen deep. */
const MOST_NESTED = 64;

function nameOf(element: Element): string {
  return Object.keys(element).find((key) => key !== ':@') ?? '';
}

function childrenOf(element: Element | undefined): readonly Element[] {
  const inside = element?.[nameOf(element)];
  return Array.isArray(inside) ? (inside as Element[]) : [];
}

function all(element: Element | undefined, name: string): readonly Element[] {
  return childrenOf(element).filter((child) => nameOf(child) === name);
}

function first(element: Element | undefined, ...path: readonly string[]): Element | undefined {
  return path.reduce<Element | undefined>((at, name) => all(at, name)[0], element);
}

function textOf(element: Element | undefined): string {
  const value = childrenOf(element)[0]?.['#text'];
  return typeof value === 'string' || typeof value === 'number' ? String(value).trim() : '';
}

function attribute(element: Element | undefined, name: string): string {
  const attributes = element?.[':@'] as Readonly<Record<string, string>> | undefined;
  return attributes?.[`@${name}`] ?? '';
}

function parse(text: string): readonly Element[] {
  if (/<!ENTITY/i.test(text))
    throw new FormatError(
      'UNSAFE_FILE',
      'The file defines entities, which a score has no need of.',
      'Export it again from the program it was made with.',
    );
  try {
    SyntaxValidator.validate(text, { allowBooleanAttributes: true });
    return new XMLParser({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: '@',
      parseTagValue: false,
      processEntities: true,
      htmlEntities: false,
      maxNestedTags: MOST_NESTED,
    }).parse(text) as readonly Element[];
  } catch (cause) {
    const line = cause instanceof Error && 'line' in cause ? ` in line ${String(cause.line)}` : '';
    const reason = cause instanceof Error ? cause.message : 'it is cut off.';
    throw new FormatError(
      'BROKEN_FILE',
      `The file is not whole XML${line}: ${reason}`,
      'Export it again; it may have been cut off.',
      { context: 'xml' },
    );
  }
}

function midiOf(note: Element): number | null {
  const pitch = first(note, 'pitch');
  if (!pitch) return null;
  const step = Note.midi(`${textOf(first(pitch, 'step'))}${textOf(first(pitch, 'octave'))}`);
  return typeof step === 'number' ? step + Number(textOf(first(pitch, 'alter')) || 0) : null;
}

function firstPitched(part: Element): Element | undefined {
  return all(part, 'measure')
    .flatMap((measure) => all(measure, 'note'))
    .find((note) => first(note, 'pitch'));
}

function voiceOf(note: Element | undefined): string {
  return textOf(first(note, 'voice')) || '1';
}

/** What is met on the way and cannot be kept. */
class Reading {
  /** The voice that is read; programs count them from 1, or on through the staves of a score. */
  readonly voice: string;
  readonly notes: RawNote[] = [];
  readonly dropped = new Set<Loss['code']>();
  divisions = 1;
  transpose = 0;
  tempo: number | undefined;
  fifths: number | undefined;
  mode = 'major';
  beatsPerBar: number | undefined;

  constructor(voice: string) {
    this.voice = voice;
  }

  attributes(element: Element): void {
    const divisions = Number(textOf(first(element, 'divisions')));
    if (divisions > 0) this.divisions = divisions;
    this.transpose = Number(textOf(first(element, 'transpose', 'chromatic')) || this.transpose);
    this.beatsPerBar ??= this.barOf(element);
    const fifths = textOf(first(element, 'key', 'fifths'));
    if (fifths === '') return;
    if (this.fifths !== undefined && this.fifths !== Number(fifths)) this.dropped.add('lost.keys');
    this.fifths ??= Number(fifths);
    this.mode = textOf(first(element, 'key', 'mode')) || this.mode;
  }

  /** Quarter notes in a bar of a time signature. */
  private barOf(element: Element): number | undefined {
    const beats = Number(textOf(first(element, 'time', 'beats')));
    const kind = Number(textOf(first(element, 'time', 'beat-type')));
    return beats > 0 && kind > 0 ? (beats * 4) / kind : undefined;
  }

  direction(element: Element): void {
    const sound = all(element, 'sound')[0] ?? (nameOf(element) === 'sound' ? element : undefined);
    const tempo = Number(
      attribute(sound, 'tempo') || textOf(first(element, 'direction-type', 'metronome', 'per-minute')),
    );
    if (!(tempo > 0)) return;
    if (this.tempo !== undefined && this.tempo !== tempo) this.dropped.add('lost.tempos');
    this.tempo ??= tempo;
  }

  note(element: Element): void {
    if (first(element, 'chord')) return void this.dropped.add('lost.chords-to-first');
    if (first(element, 'grace')) return void this.dropped.add('lost.graces');
    if (voiceOf(element) !== this.voice) return void this.dropped.add('lost.voices');
    const beats = Number(textOf(first(element, 'duration'))) / this.divisions;
    if (!(beats > 0)) return;
    const midi = midiOf(element);
    const ties = all(element, 'tie').map((tie) => attribute(tie, 'type'));
    const slides = all(first(element, 'notations'), 'slide').map((slide) => attribute(slide, 'type'));
    const lyric = first(element, 'lyric');
    this.notes.push({
      ...(midi !== null && { midi: midi + this.transpose }),
      beats,
      ...(lyric && { syllable: textOf(first(lyric, 'text')) }),
      isTiedOn: ties.includes('start'),
      slidesOn: slides.includes('start'),
    });
  }

  measure(element: Element): void {
    if (all(element, 'barline').some((line) => first(line, 'repeat') ?? first(line, 'ending')))
      this.dropped.add('lost.repeats');
    for (const child of childrenOf(element)) {
      const name = nameOf(child);
      if (name === 'attributes') this.attributes(child);
      else if (name === 'note') this.note(child);
      else if (name === 'direction' || name === 'sound') this.direction(child);
    }
  }
}

/**
 * Reads one voice of a MusicXML score.
 *
 * @param text the score, uncompressed
 * @throws FormatError `EMPTY_FILE`, `BROKEN_FILE`, `UNSAFE_FILE`, `WRONG_KIND`, `NO_NOTES`
 */
export function readMusicXml(text: string): Melody {
  checkText(text);
  const root = parse(text).find((element) => nameOf(element).startsWith('score-'));
  if (!root || nameOf(root) !== 'score-partwise')
    throw new FormatError(
      'WRONG_KIND',
      'This is no part-wise MusicXML score.',
      'Export it as MusicXML, the usual kind.',
      { context: 'score' },
    );
  const parts = all(root, 'part');
  const part = parts.find((one) => firstPitched(one));
  if (!part) throw noNotes();
  const reading = new Reading(voiceOf(firstPitched(part)));
  for (const measure of all(part, 'measure')) reading.measure(measure);
  const title = textOf(first(root, 'work', 'work-title')) || textOf(first(root, 'movement-title'));
  const { fifths, mode, tempo, beatsPerBar } = reading;
  const known = MODES[mode];
  return {
    title: title || 'From a score',
    events: closeTies(reading.notes),
    ...(tempo !== undefined && { tempo }),
    ...(fifths !== undefined && { tonicClass: tonicOfFifths(fifths, known ?? 'major') }),
    ...(known && { mode: known }),
    ...(beatsPerBar !== undefined && { beatsPerBar }),
    dropped: [
      ...[...reading.dropped].map((code) => ({ code })),
      ...(parts.length > 1 ? [{ code: 'lost.parts', values: { count: parts.length } } as const] : []),
    ],
  };
}
