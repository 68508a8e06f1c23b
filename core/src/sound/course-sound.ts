import type { StillCourse } from '../still/index.ts';
import { clickAt } from './click-sound.ts';
import type { SoundEvent } from './sound.types.ts';

const NOTHING = 1e-6;

/**
 * The clicks by which breath, timed and spoken work is followed without looking: a stronger one where a part begins, a softer
 * one on each of its counts.
 *
 * @returns events in seconds from the start of the course
 */
export function courseSound({ parts }: StillCourse): readonly SoundEvent[] {
  return parts.flatMap(({ startsAt, seconds, counts = 1 }) =>
    Array.from({ length: Math.max(1, Math.ceil(counts - NOTHING)) }, (_, index) =>
      clickAt(startsAt + (index * seconds) / counts, index === 0 ? 'first' : 'other'),
    ),
  );
}
