import type { LadderInput } from '../ladder/index.ts';
import type { RunKey } from '../run/index.ts';
import type { PitchRange } from '../voice/index.ts';
import { glideSound } from './glide-sound.ts';
import { keySound } from './key-sound.ts';
import type { SoundChoices } from './sound-choices.ts';
import type { SoundEvent } from './sound.types.ts';

/** Source: the usual bar of four before a key. */
const USUAL_CUE_BEATS = 4;

/** How a key of a run is played. */
export interface RunKeySound {
  readonly avoid: readonly PitchRange[];
  readonly choices?: SoundChoices;
  /** Left out the tune is played with the student. */
  readonly help?: RunKey['help'];
}

/**
 * What sounds in one key of a step: that of its ladder, or of a pass where it is a free glide.
 *
 * @returns events in seconds from the start of the key
 */
export function runKeySound(
  ladder: LadderInput | undefined,
  { tonic, low, high, tempo }: RunKey,
  { avoid, choices, help }: RunKeySound,
): readonly SoundEvent[] {
  if (!ladder) return glideSound(tonic, low, high);
  const { pattern, cueBeats = USUAL_CUE_BEATS } = ladder;
  return keySound({ pattern, tonic, tempo, cueBeats, avoid, ...(help && { help }), ...(choices && { choices }) });
}
