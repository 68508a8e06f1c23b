import { patternOf } from './parse-pattern.ts';
import { isSounding, type Pattern, type PatternEvent } from './pattern.types.ts';

function sameNeighbours(a: PatternEvent, b: PatternEvent): boolean {
  return a.kind === b.kind && a.kind !== 'glide' && a.from === b.from;
}

function startsAnew(event: PatternEvent): PatternEvent {
  const { joined, continues, ...rest } = event;
  return joined || continues ? rest : event;
}

function keepUnder(events: readonly PatternEvent[], ceiling: number): PatternEvent[] {
  const kept: PatternEvent[] = [];
  let gap = false;
  for (const event of events) {
    if (isSounding(event) && Math.max(event.from, event.to) > ceiling) {
      gap = true;
      continue;
    }
    const before = kept.at(-1);
    if (gap && before && sameNeighbours(before, event)) {
      kept[kept.length - 1] = { ...before, beats: Math.max(before.beats, event.beats) };
    } else {
      kept.push(gap ? startsAnew(event) : event);
    }
    gap = false;
  }
  return kept;
}

/**
 * The same shape in a smaller span: what goes over `low + maxSpan` is left out, and equal notes that meet by it
 * become one, the longer.
 *
 * @param maxSpan semitones
 * @returns `null` where under two different pitches are left
 * @example formatPattern(narrowPattern(parsePattern('1 3 5 8 5 3 1:2'), 7)!) // '1 3 5 3 1:2'
 */
export function narrowPattern(pattern: Pattern, maxSpan: number): Pattern | null {
  const kept = keepUnder(pattern.events, pattern.low + maxSpan);
  const pitches = new Set(kept.filter(isSounding).flatMap((event) => [event.from, event.to]));
  return pitches.size < 2 ? null : patternOf(pattern.mode, kept);
}
