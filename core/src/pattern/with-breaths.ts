import { patternOf } from './parse-pattern.ts';
import { isSounding, type Pattern, type PatternEvent, type PatternMark } from './pattern.types.ts';

/** House choice: a breath taken inside a tune costs one beat. */
const BREATH_BEATS = 1;
const EQUAL = 1e-9;

/** First and last event of a stretch without a rest, and its beats. */
interface Stretch {
  readonly first: number;
  readonly last: number;
  readonly beats: number;
}

function stretchesOf(events: readonly PatternEvent[]): readonly Stretch[] {
  const found: { first: number; last: number; beats: number }[] = [];
  events.forEach((event, index) => {
    if (!isSounding(event)) return;
    const open = found.at(-1);
    if (open?.last === index - 1) {
      open.last = index;
      open.beats += event.beats;
    } else found.push({ first: index, last: index, beats: event.beats });
  });
  return found;
}

/** The event a breath is best taken before: near the middle, after a long note, never inside a glide or a syllable. */
function placeIn(events: readonly PatternEvent[], { first, last, beats }: Stretch): number | null {
  let before = 0;
  let best: { readonly at: number; readonly cost: number } | null = null;
  for (let at = first + 1; at <= last; at += 1) {
    before += events[at - 1]?.beats ?? 0;
    const event = events[at];
    if (event?.joined) continue;
    const cost = Math.abs(before - beats / 2) - (events[at - 1]?.beats ?? 0) / 2 + (event?.continues ? beats : 0);
    if (!best || cost < best.cost - EQUAL) best = { at, cost };
  }
  return best?.at ?? null;
}

function moved({ kind, first, last }: PatternMark, at: number): PatternMark {
  return { kind, first: first >= at ? first + 1 : first, last: last >= at ? last + 1 : last };
}

/**
 * A pattern with a breath of one beat put into every stretch that is longer than one breath carries.
 *
 * @param mostBeats beats that may be sung without a rest, over 0
 * @returns the pattern itself where no stretch is longer; a glide that is longer by itself stays whole
 * @example withBreaths(parsePattern('1 2 3 4 5 4 3 2 1:2'), 6): a rest after the fifth
 */
export function withBreaths(pattern: Pattern, mostBeats: number): Pattern {
  const long = stretchesOf(pattern.events).find(
    (stretch) => stretch.beats > mostBeats + EQUAL && placeIn(pattern.events, stretch) !== null,
  );
  const at = long && placeIn(pattern.events, long);
  if (at === undefined || at === null) return pattern;
  const events = [...pattern.events.slice(0, at), REST, ...pattern.events.slice(at)];
  const whole = patternOf(pattern.mode, events);
  const marks = pattern.marks?.map((mark) => moved(mark, at));
  return withBreaths(marks ? { ...whole, marks } : whole, mostBeats);
}

const REST: PatternEvent = { kind: 'rest', beats: BREATH_BEATS };
