import type { SoundEvent } from '../sound/index.ts';
import type { LessonSound } from './lesson-sound.schema.ts';

/** A tenth of a millisecond is nothing to an ear. */
const PARTS_OF_A_SECOND = 10_000;

function rounded(time: number): number {
  return Math.round(time * PARTS_OF_A_SECOND) / PARTS_OF_A_SECOND;
}

/** Sounds of a key in the short form in which they are sent. */
export function packedSounds(events: readonly SoundEvent[]): LessonSound['sounds'] {
  return events.map(({ role, midi, startSeconds, seconds: length, velocity }) => [
    role,
    midi,
    rounded(startSeconds),
    rounded(length),
    rounded(velocity),
  ]);
}

/** The sounds of a key that was sent. */
export function unpackedSounds(sounds: LessonSound['sounds']): readonly SoundEvent[] {
  return sounds.map(([role, midi, startSeconds, length, velocity]) => ({
    role,
    midi,
    startSeconds,
    seconds: length,
    velocity,
  }));
}
