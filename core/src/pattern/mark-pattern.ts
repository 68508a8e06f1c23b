import { PatternError } from '../errors.ts';
import type { Pattern, PatternMark } from './pattern.types.ts';

/**
 * Lays marks over a pattern.
 *
 * @param marks index ranges into the pattern's events
 * @throws PatternError `BAD_MARK` where a range lies outside the events; `position` is the mark's index
 * @example markPattern(parsePattern('1 2'), [{ kind: 'staccato', first: 0, last: 1 }])
 */
export function markPattern(pattern: Pattern, marks: readonly PatternMark[]): Pattern {
  marks.forEach(({ kind, first, last }, index) => {
    const isRange = Number.isInteger(first) && Number.isInteger(last) && first >= 0 && first <= last;
    if (!isRange || last >= pattern.events.length) {
      throw new PatternError(
        'BAD_MARK',
        index,
        `The mark “${kind}” lies outside the pattern.`,
        `events 0 to ${String(pattern.events.length - 1)}`,
        { mark: kind, last: pattern.events.length - 1 },
      );
    }
  });
  return { ...pattern, marks };
}
