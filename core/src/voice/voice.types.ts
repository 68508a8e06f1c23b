import type { ChangingStage, VoiceType } from './voice-kinds.data.ts';
import type { MeasuredRange, PitchRange } from './voice-file.schema.ts';

/** The voice as the limits read it. All pitches MIDI. */
export interface Voice {
  readonly type: VoiceType;
  readonly age?: number;
  readonly changingStage?: ChangingStage;
  /** Where the registers turn over, lowest first. */
  readonly bridges?: readonly number[];
  readonly speakingNote?: number;
  readonly measured?: MeasuredRange;
  readonly hardFloor?: number;
  readonly hardCeiling?: number;
  readonly beltCeiling?: number;
  /** The teacher's own decision for a singer of sixteen or seventeen. */
  readonly gritAllowed?: boolean;
  /** Semitones kept inside both ends, 0–4. */
  readonly margin?: number;
  /** Stretches that are not sung, MIDI: zones never sounded, and gaps. One that holds an end of the range is that end. */
  readonly closed?: readonly PitchRange[];
}
