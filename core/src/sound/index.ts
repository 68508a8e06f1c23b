export { courseSound } from './course-sound.ts';
export { glideSound } from './glide-sound.ts';
export { keyParts, LONGEST_HOLD_SECONDS, type KeyPart } from './key-parts.ts';
export { keySound, type KeySoundInput } from './key-sound.ts';
export { KNOCK_HZ, knockWave } from './knock.ts';
export { runKeySound } from './run-key-sound.ts';
export {
  CLICKS,
  CUES,
  SHOWN_AT,
  SOUND_PARTS,
  USUAL_SOUND,
  type SoundChoices,
  type SoundPart,
} from './sound-choices.ts';
export { SOUND_ROLES, type SoundEvent } from './sound.types.ts';
export { clearOctave, voiceChord, type VoicedChord } from './voice-chord.ts';
