import type { Help } from '../shelf/index.ts';
import { isMissed } from '../past/index.ts';
import type { SungKey } from './run.schema.ts';

const MORE: Readonly<Record<Help, Help>> = {
  alone: 'cue-only',
  'cue-only': 'together',
  together: 'together',
  shown: 'shown',
};

/** The help after a missed key: a little more, for one key. */
export function moreHelp(help: Help): Help {
  return MORE[help];
}

/**
 * The last of a step's manners that was sung without trouble: the softest or cleanest that worked.
 *
 * @param sung keys of the step in the order they were sung
 * @returns nothing where no manner worked, or the step has none
 */
export function mannerThatWorked(sung: readonly Pick<SungKey, 'manner' | 'outcome' | 'marks'>[]): string | undefined {
  const manners = [...new Set(sung.flatMap(({ manner }) => manner ?? []))];
  return [...manners]
    .reverse()
    .find((manner) => sung.some((key) => key.manner === manner && key.outcome === 'sung' && !isMissed(key)));
}
