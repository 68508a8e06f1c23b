import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { RandomGenerator } from 'pure-rand/types/RandomGenerator';

/** Source: Knuth’s multiplicative hash, 2³² over the golden ratio. */
const SPREAD = 2_654_435_761;

/**
 * Chance that comes out the same for the same seed. Of themselves neighbouring seeds, such as days, draw nearly the same
 * first number; they are spread apart.
 *
 * @param seed a whole number
 */
export function chanceFrom(seed: number): RandomGenerator {
  return xoroshiro128plus(Math.imul(seed, SPREAD));
}
