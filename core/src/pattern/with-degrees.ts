import { writeDegree } from './degree.ts';
import { isSounding, type Pattern } from './pattern.types.ts';

/**
 * A tune with the degrees of its scale in place of its syllables, as they are read: with the sign of a flat.
 *
 * @example `1 b3 5` on “noh” has 1, ♭3 and 5 under its notes
 */
export function withDegrees(pattern: Pattern): Pattern {
  const degree = (semitones: number): string => writeDegree(pattern.mode, semitones).replaceAll('b', '♭');
  const events = pattern.events.map((event) => {
    if (!isSounding(event)) return event;
    const syllable = event.kind === 'note' ? degree(event.from) : `${degree(event.from)}–${degree(event.to)}`;
    return { ...event, syllable, continues: false };
  });
  return { ...pattern, events };
}
