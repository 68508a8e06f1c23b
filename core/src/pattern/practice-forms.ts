import { PatternError } from '../errors.ts';
import { patternOf } from './parse-pattern.ts';
import { isSounding, type Pattern } from './pattern.types.ts';

type PracticeFormName = 'slow' | 'pieces' | 'from-the-end' | 'whole';

/** One way to learn a pattern. Tempo in beats per minute; seconds of all its patterns, sung once each. */
export interface PracticeForm {
  readonly form: PracticeFormName;
  readonly patterns: readonly Pattern[];
  readonly tempo: number;
  readonly seconds: number;
}

/** Source: house choice from common practice: six tenths of the tempo; pieces of four to six notes that share one. */
const SLOW_SHARE = 0.6;
const MOST_NOTES = 6;
const LEAST_NOTES = 4;

/** Indexes of the events that can begin or end a piece: no piece begins inside a glide of several points. */
function units(pattern: Pattern): readonly (readonly number[])[] {
  const found: number[][] = [];
  pattern.events.forEach((event, index) => {
    const last = found.at(-1);
    if (last && (event.joined || !isSounding(event))) last.push(index);
    else found.push([index]);
  });
  return found;
}

function piece(pattern: Pattern, indexes: readonly number[]): Pattern {
  return patternOf(
    pattern.mode,
    indexes.flatMap((index) => pattern.events[index] ?? []),
  );
}

/** Starts and ends (excluded) of pieces of four to six that overlap by one. */
function cuts(count: number): readonly (readonly [number, number])[] {
  if (count <= MOST_NOTES) return [[0, count]];
  const pieces = Math.ceil((count - 1) / (MOST_NOTES - 1));
  const size = Math.max(LEAST_NOTES, Math.ceil((count - 1) / pieces) + 1);
  return Array.from({ length: pieces }, (_, index) => {
    const start = Math.min(index * (size - 1), Math.max(0, count - size));
    return [start, Math.min(count, start + size)] as const;
  });
}

/**
 * Ways to learn a fast pattern: slowly, in overlapping pieces of four to six notes, built up from its end, and whole.
 *
 * @param tempo beats per minute of the whole, > 0
 * @throws PatternError `BAD_TEMPO`
 * @example practiceForms(parsePattern('1 2 3 4 5 4 3 2 1:2'), 100)[0] // slow: tempo 60, 10 s
 * Source: `SLOW_SHARE`, `MOST_NOTES`.
 */
export function practiceForms(pattern: Pattern, tempo: number): readonly PracticeForm[] {
  if (!(tempo > 0) || !Number.isFinite(tempo))
    throw new PatternError('BAD_TEMPO', 0, `${String(tempo)} is no tempo.`, 'beats per minute above zero', {
      tempo: String(tempo),
    });
  const all = units(pattern);
  const pieces = cuts(all.length).map(([from, to]) => piece(pattern, all.slice(from, to).flat()));
  const fromTheEnd = [...cuts(all.length)].reverse().map(([from]) => piece(pattern, all.slice(from).flat()));
  const form = (name: PracticeFormName, patterns: readonly Pattern[], at: number): PracticeForm => ({
    form: name,
    patterns,
    tempo: at,
    seconds: (patterns.reduce((sum, { beats }) => sum + beats, 0) * 60) / at,
  });
  return [
    form('slow', [pattern], tempo * SLOW_SHARE),
    form('pieces', pieces, tempo),
    form('from-the-end', fromTheEnd, tempo),
    form('whole', [pattern], tempo),
  ];
}
