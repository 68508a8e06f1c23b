/** One thing the piano plays. Pitches MIDI, seconds from the start of the key, velocity 0–1. */
export interface SoundEvent {
  readonly role: 'bass' | 'chord' | 'first-note' | 'tune';
  readonly midi: number;
  readonly startSeconds: number;
  readonly seconds: number;
  readonly velocity: number;
}
