import { patternOfMelody, SoftLarkError, type Melody, type Mode, type WrittenPattern } from '@soft-lark/core';
import { errorText } from '../../text/say.ts';

/** A part of a tune as pattern text, or why it makes none. */
export type PatternOutcome = { readonly written: WrittenPattern } | { readonly problem: string };

/** A part of a tune as pattern text; what is too wide or too long is said, not thrown. */
export function patternOutcome(part: Melody, tonic: number, mode: Mode): PatternOutcome {
  try {
    return { written: patternOfMelody(part, tonic, mode) };
  } catch (error) {
    if (error instanceof SoftLarkError) return { problem: errorText(error) };
    throw error;
  }
}
