import { daysBetween } from './days.ts';
import { BELT_CEILINGS, REFERENCE_RANGES, type AdultType, type ReferenceTable } from './reference-ranges.data.ts';
import { isYoungVoice } from './reference.ts';
import type { MeasuredRange, PitchRange } from './voice-file.schema.ts';
import type { Voice } from './voice.types.ts';

/** Source: usual teaching reference for changing voices; a week apart, a minor third at either end. */
const CHANGE = { leastDays: 7, leastSemitones: 3 };
/** House choice from the same source: a check every four weeks while a voice changes, every ninety days otherwise. */
const DUE_DAYS = { changing: 28, grown: 90 };

type Ends = Pick<MeasuredRange, 'low' | 'high' | 'date'>;

function hasMoved(before: Ends, after: Ends): boolean {
  const moved = Math.max(Math.abs(after.low - before.low), Math.abs(after.high - before.high));
  return daysBetween(before.date, after.date) >= CHANGE.leastDays && moved >= CHANGE.leastSemitones;
}

/**
 * Whether two range checks of a young voice say that it is changing: the last, and one at least a week before it whose
 * lower or upper end lies three semitones or more away.
 *
 * @param checks in any order, MIDI notes and ISO days
 * @returns the earlier of the two, or `null`
 */
export function changeLikely<T extends Ends>(voice: Pick<Voice, 'type' | 'age'>, checks: readonly T[]): T | null {
  if (!isYoungVoice(voice)) return null;
  const dated = [...checks].sort((a, b) => a.date.localeCompare(b.date));
  const last = dated.at(-1);
  if (!last) return null;
  return dated.filter((check) => check !== last && hasMoved(check, last)).at(-1) ?? null;
}

/**
 * Days until the next range check is due, negative where it is over; `null` where nothing was measured yet.
 *
 * @param today ISO day
 */
export function checkDueInDays(
  voice: Pick<Voice, 'type' | 'age' | 'measured'>,
  isChangeLikely: boolean,
  today: string,
): number | null {
  if (!voice.measured) return null;
  const every = voice.type === 'changing' || isChangeLikely ? DUE_DAYS.changing : DUE_DAYS.grown;
  return every - daysBetween(voice.measured.date, today);
}

/**
 * Grown-up voice types whose usual comfortable range lies nearest to what was measured, nearest first. An offer only:
 * a voice type is a label the student is happy with.
 */
export function typesNear(measured: PitchRange, table: ReferenceTable = REFERENCE_RANGES): readonly AdultType[] {
  const away = (type: AdultType): number => {
    const { comfortable } = table[type];
    return Math.abs(comfortable.low - measured.low) + Math.abs(comfortable.high - measured.high);
  };
  const types = Object.keys(BELT_CEILINGS) as AdultType[];
  return types.sort((a, b) => away(a) - away(b)).slice(0, 3);
}
