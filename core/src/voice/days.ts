const DAY_MS = 86_400_000;

/** Whole days from one ISO day to another; negative where the second comes first. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(to.slice(0, 10)) - Date.parse(from.slice(0, 10))) / DAY_MS);
}

/** The ISO day so many days after another. */
export function daysAfter(date: string, days: number): string {
  return new Date(Date.parse(date.slice(0, 10)) + days * DAY_MS).toISOString().slice(0, 10);
}

/** Day of the week of an ISO day, 1 Monday to 7 Sunday. */
export function weekdayOf(date: string): number {
  return new Date(Date.parse(date.slice(0, 10))).getUTCDay() || 7;
}

/** The Monday of the week a date lies in. */
export const mondayOf = (date: string): string => daysAfter(date, 1 - weekdayOf(date));
