import { keySound, type KeySoundInput } from './key-sound.ts';
import type { SoundEvent } from './sound.types.ts';

/** House choice: a note that waits is held so long at most, then it is let go by itself. */
export const LONGEST_HOLD_SECONDS = 12;
const NEXT_TO_NOTHING = 1e-6;

/** A stretch of a key that sounds without waiting. Seconds from its own start. */
export interface KeyPart {
  readonly events: readonly SoundEvent[];
  /** When the note that waits is reached; the last part of a key has none. */
  readonly holdsAtSeconds?: number;
}

/** Start and end of every event of the pattern that waits, in seconds from the start of the key. */
function holdsOf({
  pattern,
  tempo,
  cueBeats,
}: KeySoundInput): readonly { readonly start: number; readonly end: number }[] {
  const waits = (pattern.marks ?? []).filter(({ kind }) => kind === 'wait');
  let clock = (cueBeats * 60) / tempo;
  return pattern.events.flatMap((event, index) => {
    const start = clock;
    clock += (event.beats * 60) / tempo;
    const isHeld = event.kind !== 'rest' && waits.some(({ first, last }) => index >= first && index <= last);
    return isHeld ? [{ start, end: clock }] : [];
  });
}

/**
 * What the piano plays for one key, parted where a note waits for the teacher: each part but the last ends on such a note,
 * which sounds until it is let go.
 *
 * @returns one part where nothing waits
 * @example `1 3 1` with a wait on the second note: the cue, 1 and a held 3; then 1
 */
export function keyParts(input: KeySoundInput): readonly KeyPart[] {
  const events = keySound(input);
  const holds = holdsOf(input);
  const bounds = [0, ...holds.map(({ end }) => end), Infinity];
  return bounds.slice(1).map((until, index) => {
    const from = bounds[index] ?? 0;
    const hold = holds[index];
    const inside = events.filter(
      ({ startSeconds }) => startSeconds >= from - NEXT_TO_NOTHING && startSeconds < until - NEXT_TO_NOTHING,
    );
    const moved = inside.map((event) => ({
      ...event,
      startSeconds: event.startSeconds - from,
      ...(hold && event.role === 'tune' && event.startSeconds >= hold.start - NEXT_TO_NOTHING
        ? { seconds: LONGEST_HOLD_SECONDS }
        : {}),
    }));
    return { events: moved, ...(hold && { holdsAtSeconds: hold.start - from }) };
  });
}
