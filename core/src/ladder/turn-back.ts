import { ladderOf } from './build-ladder.ts';
import type { Ladder, LadderInput } from './ladder.types.ts';
import { wayHome } from './plan-travel.ts';

/**
 * The rest of a ladder when the teacher turns round in the key being sung: the planned way home from here.
 *
 * @param from tonic of the key being sung, not sung again
 * @returns the rungs still to sing; none where that key is the start
 */
export function turnBack(input: LadderInput, from: number): Ladder {
  const keys = wayHome(from, input.start, input.returnStep ?? input.step).map((tonic) => ({
    tonic,
    leg: 'home' as const,
  }));
  return ladderOf(input, keys, 'maxKeys');
}

/**
 * The rest of a ladder when the teacher goes straight home: the start key once, as the last.
 */
export function goHome(input: LadderInput): Ladder {
  return ladderOf({ ...input, timesPerKey: 1 }, [{ tonic: input.start, leg: 'home' }], 'maxKeys');
}
