import { daysAfter, daysBetween, mondayOf } from '../voice/index.ts';
import { WEEKS } from './weeks.data.ts';

/** What a week before a date is for; `usual` where the voice is too young to build. */
export type WeekKind = 'build' | 'usual' | 'hold' | 'ease';

export interface PlannedWeek {
  /** Its Monday. */
  readonly from: string;
  readonly kind: WeekKind;
  /** How much is sung in it, as a share of a usual week. */
  readonly share: number;
}

const DAYS = 7;

/** Shares of the weeks that build, each a little more than the one before. */
function building(count: number, grows: boolean): readonly number[] {
  return Array.from({ length: count }, (_, index) =>
    grows ? Math.min(WEEKS.mostShare, 1 + WEEKS.growsBy * (index + 1)) : 1,
  );
}

/**
 * Lays out the weeks to a date, the week of the date included: build, hold, ease off. Nothing for a date that is over;
 * of one far off, the last twelve weeks.
 *
 * @param grows whether the weeks may build at all; a child’s or a changing voice sings as much as usual
 * @example planWeeks('2026-11-25', '2026-12-19', true).map(({ kind }) => kind) // ['build', 'build', 'hold', 'ease']
 */
export function planWeeks(today: string, date: string, grows: boolean): readonly PlannedWeek[] {
  if (date < today) return [];
  const count = Math.min(WEEKS.most, daysBetween(mondayOf(today), mondayOf(date)) / DAYS + 1);
  const easing = WEEKS.eases.find(({ fromWeeks }) => count >= fromWeeks)?.shares ?? [];
  const holds = WEEKS.holds.find(({ fromWeeks }) => count >= fromWeeks)?.weeks ?? 0;
  const built = building(count - holds - easing.length, grows);
  const most = built.at(-1) ?? 1;
  const weeks: readonly Omit<PlannedWeek, 'from'>[] = [
    ...built.map((share) => ({ kind: grows ? ('build' as const) : ('usual' as const), share })),
    ...Array.from({ length: holds }, () => ({ kind: 'hold' as const, share: most })),
    ...easing.map((share) => ({ kind: 'ease' as const, share })),
  ];
  const first = daysAfter(mondayOf(date), (1 - count) * DAYS);
  return weeks.map((week, index) => ({ ...week, from: daysAfter(first, index * DAYS) }));
}
