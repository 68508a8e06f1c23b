import { HEARD_BREATH } from './heard.data.ts';
import type { PitchFrame } from './listening.types.ts';
import { evennessOf } from './steadiness.ts';
import { lastsOf, longestOf, medianOf, stretchesOf } from './voiced.ts';

/** How a breath out arrived at its last count. */
type BreathArrival = 'early' | 'on-count' | 'late';

/** A breath out by ear; relative, for the teacher only. */
export interface HeardBreath {
  readonly seconds: number;
  /** Null where nothing is counted: it lasts as long as it can. */
  readonly arrival: BreathArrival | null;
  /** How evenly it flowed: 0 for a level that never changes. */
  readonly evenness: number | null;
}

/** A breath out as it is to be: seconds it lasts and seconds of one count; no count where it lasts as long as it can. */
interface WantedBreath {
  readonly seconds: number;
  readonly countSeconds: number | null;
}

/**
 * How long a breath out was heard, and how it arrived: the longest hiss, hum or flow of air that stands out of the room.
 *
 * @param frames in order, seconds from the start of the breath out; those before it tell how quiet the room is
 * @returns null where nothing was heard, as in a breath that makes no sound
 */
export function hearBreath(frames: readonly PitchFrame[], wanted: WantedBreath): HeardBreath | null {
  const { leastLevel, timesTheRoom, leastShare, joinedSeconds, leastSeconds, lateSeconds, onCountShare } = HEARD_BREATH;
  const room = medianOf(frames.filter(({ t }) => t < 0).map(({ level }) => level));
  const during = frames.filter(({ t }) => t >= 0 && t <= wanted.seconds + lateSeconds);
  const levels = during.map(({ level }) => level).sort((a, b) => a - b);
  const loud = levels[Math.floor(0.9 * (levels.length - 1))] ?? 0;
  const least = Math.max(leastLevel, room * timesTheRoom, loud * leastShare);
  const longest = longestOf(
    stretchesOf(
      during.filter(({ level }) => level >= least),
      joinedSeconds,
    ),
  );
  if (lastsOf(longest) < leastSeconds) return null;
  const off = (longest.at(-1)?.t ?? 0) - wanted.seconds;
  const near = wanted.countSeconds === null ? null : wanted.countSeconds * onCountShare;
  return {
    seconds: Math.round(lastsOf(longest) * 10) / 10,
    arrival: near === null ? null : off < -near ? 'early' : off > near ? 'late' : 'on-count',
    evenness: evennessOf(longest),
  };
}
