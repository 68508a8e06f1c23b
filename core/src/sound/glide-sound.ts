import type { SoundEvent } from './sound.types.ts';

const NOTE_SECONDS = 0.9;
const LOUDNESS = 0.55;

/**
 * What the piano gives for a free glide: the note it begins on, then the one it turns or ends on.
 *
 * @param from MIDI, outside every zone, as the glide was laid
 */
export function glideSound(from: number, low: number, high: number): readonly SoundEvent[] {
  const to = from === low ? high : low;
  return [from, to].map((midi, index) => ({
    role: 'first-note',
    midi,
    startSeconds: index * NOTE_SECONDS,
    seconds: NOTE_SECONDS,
    velocity: LOUDNESS,
  }));
}
