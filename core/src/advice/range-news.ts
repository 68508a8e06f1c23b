import { isMissed } from '../past/index.ts';
import { dayIs, type VoiceFile } from '../voice/index.ts';
import { EASE, GOOD_RUNS } from './advice.data.ts';
import type { ExerciseRun } from './advise-laid-step.ts';

/** A note over the comfortable top on file that was sung with ease, and the days it was. */
export interface RangeNews {
  /** MIDI. */
  readonly note: number;
  /** ISO days, oldest first. */
  readonly days: readonly string[];
}

/**
 * Whether runs since the last range check went over the comfortable top with ease, on two days at least and without trouble
 * there afterwards. It is something to measure, never a figure to write down: an exercise says less than a check.
 *
 * @param runsOf runs of exercises that are sung in keys
 * @returns the highest note that was reached on two days; nothing where there is none, or nothing was measured
 */
export function rangeNews(
  runsOf: ReadonlyMap<string, readonly ExerciseRun[]>,
  { measured }: Pick<VoiceFile, 'measured'>,
): RangeNews | null {
  if (!measured) return null;
  const over = [...runsOf.values()]
    .flat()
    .filter(({ date, highest }) => date > measured.date && highest > measured.high);
  const lastTrouble = over
    .filter((run) => isMissed(run))
    .map(({ date }) => date)
    .sort()
    .at(-1);
  const easy = over.filter(
    ({ date, ease = 0, conditions, occasion, marks }) =>
      ease >= EASE.easy &&
      occasion !== 'performance' &&
      !dayIs(conditions, 'worn') &&
      !isMissed({ marks }) &&
      date > (lastTrouble ?? ''),
  );
  const daysTo = (note: number): readonly string[] =>
    [...new Set(easy.filter(({ highest }) => highest >= note).map(({ date }) => date))].sort();
  const notes = [...new Set(easy.map(({ highest }) => highest))].sort((a, b) => b - a);
  const note = notes.find((one) => daysTo(one).length >= GOOD_RUNS);
  return note === undefined ? null : { note, days: daysTo(note) };
}
