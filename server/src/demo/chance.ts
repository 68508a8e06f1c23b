import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A seeded stream of chance: the same seed gives the same demo. */
export interface Chance {
  /** True with this probability. */
  readonly happens: (probability: number) => boolean;
  /** A whole number between two others, both included. */
  readonly between: (low: number, high: number) => number;
  readonly pick: <T>(list: readonly T[]) => T | undefined;
  /** An id with the form of a UUID v7, from this stream and an instant. */
  readonly id: (at: Date) => string;
}

export function chanceOf(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  const between = (low: number, high: number): number => uniformInt(generator, low, high);
  const hex = (digits: number): string => Array.from({ length: digits }, () => between(0, 15).toString(16)).join('');
  return {
    between,
    happens: (probability) => uniformFloat64(generator) < probability,
    pick: (list) => list[between(0, list.length - 1)],
    id: (at) => {
      const time = at.getTime().toString(16).padStart(12, '0');
      return `${time.slice(0, 8)}-${time.slice(8)}-7${hex(3)}-a${hex(3)}-${hex(12)}`;
    },
  };
}
