/** A duration as an exact fraction, so that nested factors never gather rounding. */
export interface Fraction {
  readonly numerator: bigint;
  readonly denominator: bigint;
}

export const ONE: Fraction = { numerator: 1n, denominator: 1n };

/** The largest number that divides both. */
export function greatestCommonDivisor(a: bigint, b: bigint): bigint {
  return b === 0n ? a : greatestCommonDivisor(b, a % b);
}

/** The fraction in lowest terms. */
export function fraction(numerator: bigint, denominator: bigint): Fraction {
  const divisor = greatestCommonDivisor(numerator, denominator);
  return { numerator: numerator / divisor, denominator: denominator / divisor };
}

export function times(a: Fraction, b: Fraction): Fraction {
  return fraction(a.numerator * b.numerator, a.denominator * b.denominator);
}

export function toBeats(value: Fraction): number {
  return Number(value.numerator) / Number(value.denominator);
}

/**
 * The simplest fraction whose quotient is exactly this number of beats.
 *
 * @param beats positive
 * @example simplestFraction(1 / 3) // 1/3
 */
export function simplestFraction(beats: number): Fraction {
  return nearestFraction(beats, 0);
}

/**
 * The first convergent that lies no farther than a tolerance from a number of beats.
 *
 * @param beats positive
 * @example nearestFraction(0.333333, 1e-5) // 1/3
 * Source: convergents of the continued fraction of the number's exact binary value.
 */
export function nearestFraction(beats: number, tolerance: number): Fraction {
  let scale = 1n;
  let scaled = beats;
  while (!Number.isInteger(scaled)) {
    scaled *= 2;
    scale *= 2n;
  }
  let rest: Fraction = { numerator: BigInt(scaled), denominator: scale };
  let before: Fraction = { numerator: 0n, denominator: 1n };
  let current: Fraction = { numerator: 1n, denominator: 0n };
  for (;;) {
    const whole = rest.numerator / rest.denominator;
    const next: Fraction = {
      numerator: whole * current.numerator + before.numerator,
      denominator: whole * current.denominator + before.denominator,
    };
    if (Math.abs(toBeats(next) - beats) <= tolerance) return next;
    before = current;
    current = next;
    rest = { numerator: rest.denominator, denominator: rest.numerator - whole * rest.denominator };
  }
}

/** Writes a duration as the notation has it; one beat is left out. */
export function writeDuration(value: Fraction): string {
  const { numerator, denominator } = fraction(value.numerator, value.denominator);
  if (denominator !== 1n) return `:${String(numerator)}/${String(denominator)}`;
  return numerator === 1n ? '' : `:${String(numerator)}`;
}
