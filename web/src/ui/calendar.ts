/** One entry of a calendar; without a time it lasts all day. Times are those of the clock where the reader is. */
export interface CalendarEntry {
  /** Stays the same, so that a second import brings the entry up to date. */
  readonly id: string;
  readonly version: number;
  readonly date: string;
  readonly time?: string;
  readonly minutes?: number;
  readonly title: string;
  readonly description?: string;
  /** Comes back every week, so many times in all; days 1 Monday to 7 Sunday. */
  readonly weekly?: { readonly count: number; readonly weekdays: readonly number[] };
}

/**
 * Entries as an iCalendar file. No zone stands in it: a time holds on whatever clock the reader has, through every change to
 * summer time and on every journey.
 */
export async function calendarText(name: string, entries: readonly CalendarEntry[]): Promise<string> {
  const { default: ical, ICalEventRepeatingFreq, ICalWeekday } = await import('ical-generator');
  const { SU, MO, TU, WE, TH, FR, SA } = ICalWeekday;
  const week = [SU, MO, TU, WE, TH, FR, SA];
  const calendar = ical({ name, prodId: { company: 'Soft Lark', product: 'Practice', language: 'EN' } });
  const stamp = new Date();
  for (const { id, version, date, time, minutes = 0, title, description, weekly } of entries) {
    const start = new Date(`${date}T${time ?? '00:00'}:00Z`);
    calendar.createEvent({
      id: `${id}@soft-lark`,
      sequence: version,
      stamp,
      start,
      timezone: 'UTC',
      summary: title,
      ...(time === undefined
        ? { allDay: true }
        : { floating: true, end: new Date(start.getTime() + minutes * 60_000) }),
      ...(description !== undefined && { description }),
      ...(weekly && {
        repeating: {
          freq: ICalEventRepeatingFreq.WEEKLY,
          count: weekly.count,
          byDay: weekly.weekdays.flatMap((day) => week[day % 7] ?? []),
        },
      }),
    });
  }
  return calendar.toString();
}
