import { fraction, simplestFraction, toBeats } from '../pattern/index.ts';

/** A written note value: a type with dots, in a tuplet where its length needs one. */
export interface NoteValue {
  readonly type: string;
  readonly dots: number;
  readonly tuplet?: { readonly actual: number; readonly normal: number };
  readonly beats: number;
}

const SHORTEST = 1 / 256;

/** Note values by the power of two they are of a quarter note. */
const TYPES: readonly (readonly [string, number])[] = [
  ['long', 16],
  ['breve', 8],
  ['whole', 4],
  ['half', 2],
  ['quarter', 1],
  ['eighth', 1 / 2],
  ['16th', 1 / 4],
  ['32nd', 1 / 8],
  ['64th', 1 / 16],
  ['128th', 1 / 32],
  ['256th', 1 / 64],
  ['512th', 1 / 128],
  ['1024th', SHORTEST],
];

function oddPart(denominator: bigint): bigint {
  return denominator % 2n === 0n && denominator > 0n ? oddPart(denominator / 2n) : denominator;
}

/** The tuplet a length needs: so many notes in the time of so many; `null` where it is a sum of halves. */
export function tupletOf(beats: number): { readonly actual: number; readonly normal: number } | null {
  const actual = oddPart(simplestFraction(beats).denominator);
  return actual === 1n ? null : { actual: Number(actual), normal: Number(powerBelow(actual)) };
}

/** The largest power of two below a number. */
function powerBelow(value: bigint): bigint {
  let power = 1n;
  while (power * 2n < value) power *= 2n;
  return power;
}

function plainValues(beats: number): readonly NoteValue[] {
  const found: NoteValue[] = [];
  let left = beats;
  for (const [type, length] of TYPES) {
    while (left >= length - 1e-12) {
      const isDotted = left >= length * 1.5 - 1e-12 && left < length * 2 - 1e-12 && length > SHORTEST;
      const size = isDotted ? length * 1.5 : length;
      found.push({ type, dots: isDotted ? 1 : 0, beats: size });
      left -= size;
    }
  }
  return found.length > 0 ? found : [{ type: '1024th', dots: 0, beats: SHORTEST }];
}

/**
 * A duration as written note values, tied one to the next. Lengths that are no sum of halves become tuplets; what is
 * finer than a 1024th is rounded to it.
 *
 * @param beats quarter notes, > 0
 * @example noteValues(2.5) // a half, an eighth
 * @example noteValues(1 / 3) // an eighth, three in the time of two
 */
export function noteValues(beats: number): readonly NoteValue[] {
  const tuplet = tupletOf(beats);
  if (!tuplet) return plainValues(beats);
  const exact = simplestFraction(beats);
  const [actual, normal] = [BigInt(tuplet.actual), BigInt(tuplet.normal)];
  const written = toBeats(fraction(exact.numerator * actual, exact.denominator * normal));
  return plainValues(written).map((value) => ({
    ...value,
    tuplet,
    beats: toBeats(
      fraction(simplestFraction(value.beats).numerator * normal, simplestFraction(value.beats).denominator * actual),
    ),
  }));
}
