import { isSounding, type Pattern } from '../pattern/index.ts';
import type { Statement } from '../statement.ts';
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

/** The first gap of the voice that a key of the pattern would land in, if any; a glide may pass through one. */
export function gapSounded(pattern: Pattern, tonic: number, gaps: readonly PitchRange[]): PitchRange | undefined {
  if (gaps.length === 0) return undefined;
  const notes = pattern.events.filter(isSounding).flatMap(({ from, to }) => [tonic + from, tonic + to]);
  return gaps.find(({ low, high }) => notes.some((note) => note >= low && note <= high));
}

/** Why a key was struck. */
export function zoneReason({ low, high }: PitchRange): Statement {
  return { code: 'key.zone', values: { zone: { interval: { low, high } } } };
}

/** Why a key was struck. */
export function gapReason({ low, high }: PitchRange): Statement {
  return { code: 'key.gap', values: { gap: { interval: { low, high } } } };
}

/** Where a rung lies against the first bridge; without bridges it counts as low. */
export function zoneOf(low: number, high: number, bridges: readonly number[] = []): Zone {
  const [bridge] = bridges;
  if (bridge === undefined || high < bridge) return 'low';
  return low > bridge ? 'above' : 'bridge';
}
