import { isSounding, type Pattern } from '../pattern/index.ts';
import { writeNote } from '../pitch/index.ts';
import type { PitchRange } from '../voice/index.ts';
import type { Zone } from './ladder.types.ts';

/**
 * The first zone that a key of the pattern would sound in, if any. A leap over a zone is allowed.
 *
 * @param avoid closed intervals, MIDI
 */
export function zoneSounded(pattern: Pattern, tonic: number, avoid: readonly PitchRange[]): PitchRange | undefined {
  if (avoid.length === 0) return undefined;
  const sounding = pattern.events.filter(isSounding);
  return avoid.find(({ low, high }) =>
    sounding.some(({ from, to }) => tonic + Math.min(from, to) <= high && tonic + Math.max(from, to) >= low),
  );
}

/** Why a key was struck, in a sentence. */
export function zoneReason({ low, high }: PitchRange): string {
  const zone = low === high ? writeNote(low) : `${writeNote(low)} to ${writeNote(high)}`;
  return `${zone} is never sounded.`;
}

/** Where a rung lies against the first bridge; without bridges it counts as low. */
export function zoneOf(low: number, high: number, bridges: readonly number[] = []): Zone {
  const [bridge] = bridges;
  if (bridge === undefined || high < bridge) return 'low';
  return low > bridge ? 'above' : 'bridge';
}
