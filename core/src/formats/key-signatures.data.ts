// Source: circle of fifths; D♭, A♭, E♭ and B♭ are written flat, F♯ sharp, as the ladder's keys are.

/** Sharps (flats below zero) of the signature of each major tonic, from C up by semitones. */
export const FIFTHS = [0, -5, 2, -3, 4, -1, 6, 1, -4, 3, -2, 5] as const;

/** Semitones from a mode's tonic up to the tonic of the major scale with the same signature. */
export const RELATIVE = { major: 0, minor: 3, 'harmonic-minor': 3, dorian: 10, mixolydian: 5 } as const;
