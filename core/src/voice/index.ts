export { beltCeilingOf, isYoungVoice, referenceOf } from './reference.ts';
export { checkVoiceFile, neverSounded, voiceOf } from './voice-file.ts';
export { type ReferenceRange } from './reference-ranges.data.ts';
export {
  type AvoidZone,
  type Bridge,
  type ChangingStage,
  type Condition,
  type MeasuredRange,
  type Occasion,
  type PitchRange,
  type Register,
  type Style,
  type Voice,
  type VoiceFile,
  type VoiceType,
} from './voice.types.ts';
