import { fraction, simplestFraction, times, writeDuration } from './beats.ts';
import { writeDegree } from './degree.ts';
import { isSounding, type Pattern, type PatternEvent, type SoundingEvent } from './pattern.types.ts';

function writeToken(pattern: Pattern, chain: readonly SoundingEvent[]): string {
  const [head] = chain;
  if (!head) return '';
  const duration = writeDuration(times(simplestFraction(head.beats), fraction(BigInt(chain.length), 1n)));
  const points = head.kind === 'note' ? [head.from] : [head.from, ...chain.map((event) => event.to)];
  return points.map((point) => writeDegree(pattern.mode, point)).join('~') + duration;
}

function isRest(event: PatternEvent): boolean {
  return !isSounding(event);
}

/**
 * Writes a pattern in its normal form: groups opened, pitches outside the mode with flats, one beat left out.
 * Parsing the result in the same mode gives the same events, syllables aside.
 *
 * @example formatPattern(parsePattern('(1 2)x2:1/2')) // '1:1/2 2:1/2 1:1/2 2:1/2'
 */
export function formatPattern(pattern: Pattern): string {
  const tokens: string[] = [];
  pattern.events.forEach((event, index) => {
    if (event.joined) return;
    if (!isSounding(event)) {
      tokens.push(`r${writeDuration(simplestFraction(event.beats))}`);
      return;
    }
    const after = pattern.events.slice(index + 1);
    const end = after.findIndex((next) => isRest(next) || !next.joined);
    const joined = (end < 0 ? after : after.slice(0, end)).filter(isSounding);
    tokens.push(writeToken(pattern, [event, ...joined]));
  });
  return tokens.join(' ');
}
