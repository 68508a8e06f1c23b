import { MODES } from './modes.data.ts';
import type { Mode } from './pattern.types.ts';

const HIGHEST_WRITTEN_DEGREE = 15;

/**
 * Semitones of a scale step in a mode.
 *
 * @param step scale steps above degree 1; negative below it
 * @example degreeSemitones('major', 8) // 14, the ninth
 */
export function degreeSemitones(mode: Mode, step: number): number {
  const octave = Math.floor(step / 7);
  return (MODES[mode][step - octave * 7] ?? 0) + 12 * octave;
}

/** A pitch as a scale step of the mode, lowered by so many flats. */
interface DegreeSpelling {
  readonly step: number;
  readonly flats: number;
}

/**
 * The nearest scale step at or above a pitch, and the flats that lower it to the pitch.
 *
 * @param semitones from degree 1, whole, any sign
 * @example spellSemitones('major', 3) // { step: 2, flats: 1 }: b3
 */
export function spellSemitones(mode: Mode, semitones: number): DegreeSpelling {
  let step = Math.floor(semitones / 12) * 7;
  while (degreeSemitones(mode, step) < semitones) step += 1;
  return { step, flats: degreeSemitones(mode, step) - semitones };
}

/**
 * Writes a pitch as a degree of the notation: flats, degree 1–15, octave marks.
 *
 * @example writeDegree('major', -5) // '5,'
 */
export function writeDegree(mode: Mode, semitones: number): string {
  const { step, flats } = spellSemitones(mode, semitones);
  let degree = step + 1;
  let marks = '';
  while (degree < 1) {
    degree += 7;
    marks += ',';
  }
  while (degree > HIGHEST_WRITTEN_DEGREE) {
    degree -= 7;
    marks += "'";
  }
  return 'b'.repeat(flats) + String(degree) + marks;
}
