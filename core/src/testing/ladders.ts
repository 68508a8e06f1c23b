import type { LadderInput } from '../ladder/index.ts';
import { parsePattern } from '../pattern/index.ts';
import { writeNote } from '../pitch/index.ts';

export const FIVE = parsePattern('1 2 3 4 5 4 3 2 1:2');

/** Tonics in words, in order. */
export const keys = (list: readonly { tonic: number }[]): string => list.map(({ tonic }) => writeNote(tonic)).join(' ');

/** A ladder on C4 from A3 to D5. */
export const ladderOf = (change: Partial<LadderInput>): LadderInput => ({
  pattern: FIVE,
  start: 60,
  step: 1,
  travel: 'rise-return',
  floor: 57,
  ceiling: 74,
  tempo: 120,
  ...change,
});
