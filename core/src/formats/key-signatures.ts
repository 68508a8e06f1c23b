import type { Mode } from '../pattern/index.ts';
import { pitchClass } from '../pitch/index.ts';

/** Sharps (flats below zero) of the signature of each major tonic, from C up by semitones. Source: circle of fifths. */
const FIFTHS = [0, -5, 2, -3, 4, -1, 6, 1, -4, 3, -2, 5] as const;
const SEMITONES_A_FIFTH = 7;

/** Semitones from a mode's tonic up to the tonic of the major scale with the same signature. */
const RELATIVE: Readonly<Record<Mode, number>> = {
  major: 0,
  minor: 3,
  'harmonic-minor': 3,
  dorian: 10,
  mixolydian: 5,
};

/** The tonic of the major key with the same signature, in the octave at or above. */
export function signatureTonic(tonic: number, mode: Mode): number {
  return tonic + RELATIVE[mode];
}

/** Whether a file that knows only major and minor writes a mode as minor. */
export function isMinor(mode: Mode): boolean {
  return RELATIVE[mode] === RELATIVE.minor;
}

/**
 * Sharps of a key's signature, flats below zero; D♭ A♭ E♭ B♭ are written flat, F♯ sharp, as the ladder's keys are.
 *
 * @example fifthsOf(2, 'minor') // -1: D minor has one flat
 */
export function fifthsOf(tonic: number, mode: Mode): number {
  return FIFTHS[pitchClass(signatureTonic(tonic, mode))] ?? 0;
}

/**
 * The pitch class of a key's tonic, from its signature.
 *
 * @example tonicOfFifths(-1, 'minor') // 2: D
 */
export function tonicOfFifths(fifths: number, mode: Mode): number {
  return pitchClass(fifths * SEMITONES_A_FIFTH - RELATIVE[mode]);
}
