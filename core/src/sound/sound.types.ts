/** What a sound is there for: the first three give the key. */
export const SOUND_ROLES = ['bass', 'chord', 'first-note', 'tune', 'click'] as const;
export type SoundRole = (typeof SOUND_ROLES)[number];

/** One thing that is played. Pitches MIDI (of a click: higher on the first beat), seconds from the start of the key, velocity 0–1. */
export interface SoundEvent {
  readonly role: SoundRole;
  readonly midi: number;
  readonly startSeconds: number;
  readonly seconds: number;
  readonly velocity: number;
}
