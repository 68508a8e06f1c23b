import { PatternError } from '../errors.ts';
import { fraction, times, toBeats } from './beats.ts';
import { MODES } from './modes.data.ts';
import { isSounding, type Mode, type Pattern, type PatternEvent } from './pattern.types.ts';
import { readTokens, type ReadToken } from './read-tokens.ts';
import { readSyllables, type SungSyllable } from './syllables.ts';

const WIDEST_SPAN = 36;

function eventsOf(token: ReadToken, sung: SungSyllable | undefined): PatternEvent[] {
  const { points } = token;
  const [first] = points;
  if (first === undefined) return [{ kind: 'rest', beats: toBeats(token.duration) }];
  const voice = sung ? { syllable: sung.syllable, ...(sung.continues && { continues: true }) } : {};
  if (points.length === 1) {
    return [{ kind: 'note', from: first, to: first, beats: toBeats(token.duration), ...voice }];
  }
  const beats = toBeats(times(token.duration, fraction(1n, BigInt(points.length - 1))));
  return points.slice(1).map((to, index) => ({
    kind: 'glide',
    from: points[index] ?? to,
    to,
    beats,
    ...(sung && index > 0 ? { ...voice, continues: true } : voice),
    ...(index > 0 && { joined: true }),
  }));
}

function checkSpan(tokens: readonly ReadToken[]): void {
  let low = Infinity;
  let high = -Infinity;
  for (const { points, position } of tokens) {
    low = Math.min(low, ...points);
    high = Math.max(high, ...points);
    if (high - low > WIDEST_SPAN) {
      throw new PatternError(
        'SPAN_TOO_WIDE',
        position,
        `With this note the pattern spans ${String(high - low)} semitones.`,
        `at most ${String(WIDEST_SPAN)} semitones, three octaves, between the lowest and the highest note`,
        { span: high - low, most: WIDEST_SPAN },
      );
    }
  }
}

/**
 * The pattern of some events, with its sums and span worked out.
 *
 * @param events at least one of them sounding
 */
export function patternOf(mode: Mode, events: readonly PatternEvent[]): Pattern {
  const sounding = events.filter(isSounding);
  const sum = (list: readonly PatternEvent[]): number => list.reduce((beats, event) => beats + event.beats, 0);
  return {
    mode,
    events,
    beats: sum(events),
    voicedBeats: sum(sounding),
    low: Math.min(...sounding.map((event) => Math.min(event.from, event.to))),
    high: Math.max(...sounding.map((event) => Math.max(event.from, event.to))),
  };
}

/**
 * Reads the one-line notation a teacher types.
 *
 * @param text tokens parted by spaces: `1 2 3:1/2 r 1~5 (1 2)x3`
 * @param options mode (default major) and a line of syllables, one for each sounding token
 * @throws PatternError with `position` (0-based start of the offending token) and what was expected there
 * @example parsePattern('1 2 3 2 1:2').beats // 6
 */
export function parsePattern(
  text: string,
  options: { readonly mode?: Mode; readonly syllables?: string } = {},
): Pattern {
  const mode = options.mode ?? 'major';
  if (!Object.hasOwn(MODES, mode)) {
    throw new PatternError('BAD_MODE', 0, `“${mode}” is not a mode.`, Object.keys(MODES).join(', '), {
      mode,
      modes: Object.keys(MODES),
    });
  }
  if (text.trim() === '' && !/[^ ]/.test(text)) {
    throw new PatternError('EMPTY', 0, 'The pattern is empty.', 'at least one note, such as 1 2 3 2 1:2');
  }
  const tokens = readTokens(text, mode);
  const sounding = tokens.filter(({ points }) => points.length > 0);
  if (sounding.length === 0) {
    throw new PatternError('NOTHING_SOUNDS', 0, 'The pattern is nothing but rests.', 'at least one note to sing');
  }
  checkSpan(sounding);
  const sung = readSyllables(options.syllables ?? '', sounding.length);
  let next = 0;
  return patternOf(
    mode,
    tokens.flatMap((token) => eventsOf(token, token.points.length > 0 ? sung[next++] : undefined)),
  );
}
