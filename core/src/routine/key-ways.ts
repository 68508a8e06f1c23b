import type { Rung } from '../ladder/index.ts';
import { helpPlan, type Help, type HelpChoice } from '../shelf/index.ts';

/** How one key is sung: who sounds in it, and in which manner. */
export interface KeyWay {
  readonly help: Help;
  readonly manner?: string;
}

type Passed = Pick<Rung, 'tonic' | 'leg'>;

/** Which key each rung belongs to: rungs that follow one another on one tonic and leg are passes of one key. */
function keyIndexes(rungs: readonly Passed[]): readonly number[] {
  let key = -1;
  return rungs.map(({ tonic, leg }, index) => {
    const before = rungs[index - 1];
    if (tonic !== before?.tonic || leg !== before.leg) key += 1;
    return key;
  });
}

/** The first rung of each key: passes and repeats of a key are left out. */
export function keysOf<T extends Passed>(rungs: readonly T[]): readonly T[] {
  const keys = keyIndexes(rungs);
  return rungs.filter((_, index) => keys[index] !== keys[index - 1]);
}

/** Times a key is gone through for each time it is sung. */
export function timesFor(choice: HelpChoice | undefined): number {
  return choice === 'shown-then-sung' ? 2 : 1;
}

/**
 * How each rung of a ladder is sung: help by key, manners by pass, begun again in each key.
 *
 * @param manners ways in which one key is sung before moving, in order; empty where there is one way
 * @param choice who sounds in every key; left out, as the plan of help has it
 */
export function keyWays(
  rungs: readonly Passed[],
  manners: readonly string[],
  isNew: boolean,
  choice?: HelpChoice,
): readonly KeyWay[] {
  const keys = keyIndexes(rungs);
  const count = (keys.at(-1) ?? -1) + 1;
  const helps = helpPlan(count, isNew);
  // A step of one key that is new is shown once, and the same key is then sung.
  const isShownAndSung = isNew && count === 1 && rungs.length > 1;
  return keys.map((key, index) => {
    const time = index - keys.indexOf(key);
    const manner = manners[Math.floor(time / timesFor(choice)) % Math.max(1, manners.length)];
    const planned = isShownAndSung && index > 0 ? 'together' : (helps[key] ?? 'together');
    const help = choice === 'shown-then-sung' ? (time % 2 === 0 ? 'shown' : 'cue-only') : (choice ?? planned);
    return { help, ...(manner !== undefined && { manner }) };
  });
}
