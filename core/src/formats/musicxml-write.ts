import XMLBuilder from 'fast-xml-builder';
import { spellDegree } from '../pitch/index.ts';
import { greatestCommonDivisor, simplestFraction } from '../pattern/index.ts';
import type { Melody } from '../song/index.ts';
import { fifthsOf } from './key-signatures.ts';
import { sungOf, type Sung } from './sung.ts';
import { noteValues, type NoteValue } from './note-values.ts';

type Node = Readonly<Record<string, unknown>>;

function pitchNode(midi: number): Node {
  const { letter, accidental, octave } = spellDegree(midi, 0, 0);
  return { step: letter, ...(accidental !== '' && { alter: accidental === '♯' ? 1 : -1 }), octave };
}

function notationsOf(slide: Sung['slide'], isTiedFrom: boolean, isTiedTo: boolean): Node | null {
  const tied = [...(isTiedFrom ? [{ '@type': 'stop' }] : []), ...(isTiedTo ? [{ '@type': 'start' }] : [])];
  if (tied.length === 0 && !slide) return null;
  return { ...(tied.length > 0 && { tied }), ...(slide && { slide: { '@type': slide, '@number': 1 } }) };
}

function noteNodes(sung: Sung, divisions: number): readonly Node[] {
  const values = noteValues(sung.beats);
  return values.map((value: NoteValue, index) => {
    const [isFirst, isLast] = [index === 0, index === values.length - 1];
    const isNote = sung.midi !== undefined;
    const slide = (sung.slide === 'start' && isLast) || (sung.slide === 'stop' && isFirst) ? sung.slide : undefined;
    const notations = isNote ? notationsOf(slide, !isFirst, !isLast) : null;
    const ties = [...(isFirst ? [] : [{ '@type': 'stop' }]), ...(isLast ? [] : [{ '@type': 'start' }])];
    return {
      ...(sung.midi === undefined ? { rest: '' } : { pitch: pitchNode(sung.midi) }),
      duration: Math.round(value.beats * divisions),
      ...(isNote && ties.length > 0 && { tie: ties }),
      voice: 1,
      type: value.type,
      ...(value.dots > 0 && { dot: Array.from({ length: value.dots }, () => '') }),
      ...(value.tuplet && {
        'time-modification': { 'actual-notes': value.tuplet.actual, 'normal-notes': value.tuplet.normal },
      }),
      ...(notations && { notations }),
      ...(isFirst &&
        sung.syllable !== undefined &&
        !sung.continues && { lyric: { syllabic: 'single', text: sung.syllable } }),
    };
  });
}

function leastCommonMultiple(a: bigint, b: bigint): bigint {
  return (a / greatestCommonDivisor(a, b)) * b;
}

/** One bar of a part; `words` stand above it, as the name of what begins here. */
export interface WrittenBar {
  readonly melody: Melody;
  readonly words?: string;
}

function barNode({ melody, words }: WrittenBar, index: number): Node {
  const sung = melody.events.flatMap(sungOf);
  const pieces = sung.flatMap(({ beats }) => noteValues(beats));
  const divisions = Number(
    pieces.reduce((common, { beats }) => leastCommonMultiple(common, simplestFraction(beats).denominator), 1n),
  );
  const { tonicClass = 0, mode = 'major', tempo = 84 } = melody;
  const total = melody.events.reduce((sum, { beats }) => sum + beats, 0);
  return {
    '@number': index + 1,
    attributes: {
      divisions,
      key: { fifths: fifthsOf(tonicClass, mode), mode: mode === 'harmonic-minor' ? 'minor' : mode },
      time: { beats: Math.max(1, Math.ceil(total)), 'beat-type': 4 },
      clef: { sign: 'G', line: 2 },
    },
    direction: {
      '@placement': 'above',
      'direction-type': [
        ...(words === undefined ? [] : [{ words }]),
        { metronome: { 'beat-unit': 'quarter', 'per-minute': tempo } },
      ],
      sound: { '@tempo': tempo },
    },
    note: sung.flatMap((one) => noteNodes(one, divisions)),
  };
}

/**
 * Melodies as MusicXML 4.0: one part, each melody an unmeasured bar, lyrics under the notes, glides as slides.
 *
 * @param bars at least one
 */
export function musicXmlOfBars(title: string, bars: readonly WrittenBar[]): string {
  const document = {
    '?xml': { '@version': '1.0', '@encoding': 'UTF-8' },
    'score-partwise': {
      '@version': '4.0',
      work: { 'work-title': title },
      'part-list': { 'score-part': { '@id': 'P1', 'part-name': 'Voice' } },
      part: { '@id': 'P1', measure: bars.map(barNode) },
    },
  };
  return new XMLBuilder({ ignoreAttributes: false, attributeNamePrefix: '@', format: true }).build(document);
}

/**
 * A melody as MusicXML 4.0.
 *
 * @example musicXmlOf(melodyOf(parsePattern('1 2 3:2'), 60, 'Three', 84)) // '<?xml version="1.0" …'
 */
export function musicXmlOf(melody: Melody): string {
  return musicXmlOfBars(melody.title, [{ melody }]);
}
