import type { Help } from '../shelf/index.ts';
import type { SoundEvent } from '../sound/index.ts';

/** What of a key is heard by who sounds in it: alone the first note, with the cue only all but the tune. */
export function heardWith(help: Help, sounds: readonly SoundEvent[]): readonly SoundEvent[] {
  if (help === 'alone') return sounds.filter(({ role }) => role === 'first-note');
  return help === 'cue-only' ? sounds.filter(({ role }) => role !== 'tune') : sounds;
}
