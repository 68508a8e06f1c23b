export { glideSound } from './glide-sound.ts';
export { keyParts, LONGEST_HOLD_SECONDS, type KeyPart } from './key-parts.ts';
export { keySound, type KeySoundInput } from './key-sound.ts';
export { type SoundEvent } from './sound.types.ts';
export { clearOctave, voiceChord, type VoicedChord } from './voice-chord.ts';
