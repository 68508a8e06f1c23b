import { PitchError } from '../errors.ts';

/** What a voice lesson can be tuned to, A4 in Hz. */
export const LOWEST_TUNING_HZ = 380;
export const HIGHEST_TUNING_HZ = 480;

/**
 * Frequency of a pitch in equal temperament.
 *
 * @param midi pitch as a MIDI number; fractions are allowed for fine tuning
 * @param a4 frequency of A4 in Hz, 380–480
 * @returns Hz
 * @throws PitchError `BAD_TUNING`, `BAD_MIDI`
 * @example frequencyOf(69) // 440
 * Source: definition of twelve-tone equal temperament.
 */
export function frequencyOf(midi: number, a4 = 440): number {
  if (!(a4 >= LOWEST_TUNING_HZ && a4 <= HIGHEST_TUNING_HZ)) {
    throw new PitchError(
      'BAD_TUNING',
      `A4 at ${String(a4)} Hz is not a tuning a voice lesson can use.`,
      `Choose a tuning between ${String(LOWEST_TUNING_HZ)} and ${String(HIGHEST_TUNING_HZ)} Hz.`,
      { hz: String(a4), least: LOWEST_TUNING_HZ, most: HIGHEST_TUNING_HZ },
    );
  }
  if (!Number.isFinite(midi)) {
    throw new PitchError('BAD_MIDI', `${String(midi)} is not a pitch.`, 'Give a MIDI number; middle C is 60.', {
      midi: String(midi),
    });
  }
  return a4 * 2 ** ((midi - 69) / 12);
}
