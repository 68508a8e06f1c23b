import {
  isSounding,
  patternOf,
  formatPattern,
  parsePattern,
  type Mode,
  type Pattern,
  type PatternEvent,
} from '../pattern/index.ts';
import { pitchClass } from '../pitch/index.ts';
import type { Loss, Melody, MelodyEvent } from '../song/index.ts';
import { noNotes } from './no-notes.ts';

export type FormatName = 'json' | 'musicxml' | 'abc' | 'midi';

/** Source: house limit; a file of exercises has no business being larger. Bytes. */
export const LARGEST_FILE = 10 * 1024 * 1024;

/** A pattern on a tonic as a melody. */
export function melodyOf(pattern: Pattern, tonic: number, title: string, tempo: number): Melody {
  return {
    title,
    tempo,
    tonicClass: pitchClass(tonic),
    mode: pattern.mode,
    events: pattern.events.map((event) => ({
      beats: event.beats,
      ...(isSounding(event) && { midi: tonic + event.from }),
      ...(isSounding(event) && event.kind === 'glide' && { to: tonic + event.to }),
      ...(event.syllable !== undefined && { syllable: event.syllable }),
      ...(event.continues && { continues: true }),
    })),
    dropped: [],
  };
}

/** What of a pattern no file of notes can carry. */
export function notCarried(pattern: Pattern, format: FormatName): readonly Loss[] {
  if (format === 'json') return [];
  const lost: Loss['code'][] = [];
  if (pattern.events.some(({ joined }) => joined)) lost.push('lost.joined-glides');
  if (format === 'midi' && pattern.events.some(({ kind }) => kind === 'glide')) lost.push('lost.glides');
  if ((pattern.marks ?? []).length > 0) lost.push('lost.marks');
  return lost.map((code) => ({ code }));
}

function syllableLine(events: readonly MelodyEvent[]): string {
  const sounding = events.filter(({ midi }) => midi !== undefined);
  if (sounding.every(({ syllable }) => syllable === undefined)) return '';
  return sounding
    .map(({ syllable, continues }, index) => {
      const before = sounding[index - 1]?.syllable;
      return continues || syllable === undefined
        ? '_'
        : syllable === ''
          ? (before ?? '_')
          : syllable.replaceAll(' ', '-');
    })
    .join(' ');
}

/** The tonic nearest to a tune: the highest one that has at most a fourth of the tune below it. */
export function proposeTonic({ events, tonicClass }: Pick<Melody, 'events' | 'tonicClass'>): number {
  const pitches = events.flatMap(({ midi, to }) => [midi, to].flatMap((note) => note ?? []));
  const low = Math.min(...pitches);
  const last = pitches.at(-1) ?? 60;
  const atOrBelow = low - pitchClass(low - (tonicClass ?? last));
  // A tune that dips a fourth or less under its tonic is felt to stand on the tonic above.
  return low > atOrBelow + 6 && pitches.some((note) => note >= atOrBelow + 12) ? atOrBelow + 12 : atOrBelow;
}

export interface WrittenPattern {
  readonly pattern: string;
  readonly syllables: string;
  readonly mode: Mode;
}

/**
 * A melody as pattern text, spelled as degrees over a tonic.
 *
 * @param tonic MIDI note of degree 1
 * @throws FormatError `NO_NOTES`; PatternError where it is too long or too wide for a pattern
 */
export function patternOfMelody(melody: Melody, tonic: number, mode: Mode = melody.mode ?? 'major'): WrittenPattern {
  const events: PatternEvent[] = melody.events.map(({ midi, to, beats }) =>
    midi === undefined
      ? { kind: 'rest', beats }
      : { kind: to === undefined ? 'note' : 'glide', from: midi - tonic, to: (to ?? midi) - tonic, beats },
  );
  if (!events.some(isSounding)) throw noNotes();
  const pattern = formatPattern(patternOf(mode, trimmed(events)));
  const syllables = syllableLine(melody.events);
  parsePattern(pattern, { mode, ...(syllables && { syllables }) });
  return { pattern, syllables: syllables || 'ah', mode };
}

/** Rests before the first note and after the last belong to the file, not to the tune. */
function trimmed(events: readonly PatternEvent[]): readonly PatternEvent[] {
  const first = events.findIndex(isSounding);
  const last = events.length - 1 - [...events].reverse().findIndex(isSounding);
  return events.slice(first, last + 1);
}
