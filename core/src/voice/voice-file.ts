import { VoiceError } from '../errors.ts';
import type { PitchRange, Voice, VoiceFile } from './voice.types.ts';

/** The lower edge counts as the turnover, so that a rung that touches the change is already at the bridge. */
export function voiceOf(file: VoiceFile): Voice {
  const { bridges, type, age, changingStage, speakingNote, measured, hardFloor, hardCeiling, beltCeiling, margin } =
    file;
  return {
    type,
    ...(age !== undefined && { age }),
    ...(changingStage !== undefined && { changingStage }),
    ...(bridges.length > 0 && { bridges: bridges.map(({ low }) => low).sort((a, b) => a - b) }),
    ...(speakingNote !== undefined && { speakingNote }),
    ...(measured !== undefined && { measured }),
    ...(hardFloor !== undefined && { hardFloor }),
    ...(hardCeiling !== undefined && { hardCeiling }),
    ...(beltCeiling !== undefined && { beltCeiling }),
    ...(margin !== undefined && { margin }),
  };
}

/** The zones that must never sound, as the ladder takes them. */
export function neverSounded(file: Pick<VoiceFile, 'avoid'>): readonly PitchRange[] {
  return file.avoid.filter(({ kind }) => kind === 'never-sounded').map(({ low, high }) => ({ low, high }));
}

/**
 * Checks that the figures of a voice file do not contradict each other.
 *
 * @throws VoiceError `BAD_RANGE`, `BAD_VOICE`
 */
export function checkVoiceFile(file: VoiceFile): void {
  const { measured, hardFloor, hardCeiling } = file;
  if (measured && measured.low >= measured.high) {
    throw new VoiceError(
      'BAD_RANGE',
      'The lowest comfortable note is not below the highest.',
      'Swap them or measure again.',
    );
  }
  if (
    measured &&
    ((measured.reachLow ?? measured.low) > measured.low || (measured.reachHigh ?? measured.high) < measured.high)
  ) {
    throw new VoiceError(
      'BAD_RANGE',
      'The comfortable range goes past the reach.',
      'Widen the reach or narrow the comfortable range.',
    );
  }
  if (hardFloor !== undefined && hardCeiling !== undefined && hardFloor >= hardCeiling) {
    throw new VoiceError(
      'BAD_RANGE',
      'The hard floor is not below the hard ceiling.',
      'Lower the floor or raise the ceiling.',
    );
  }
  if ([...file.avoid, ...file.bridges].some(({ low, high }) => low > high)) {
    throw new VoiceError('BAD_RANGE', 'A zone or bridge ends below where it begins.', 'Give the lower note first.');
  }
  if (file.type === 'changing' && file.changingStage === undefined) {
    throw new VoiceError(
      'BAD_VOICE',
      'A changing voice has no stage.',
      'Choose the stage that fits best; it can be changed at any time.',
    );
  }
}
