import type { PracticePlan } from '@soft-lark/core';
import { calendarText } from '../../ui/calendar.ts';

interface CalendarWords {
  readonly title: string;
  readonly description: string;
  readonly review: string;
}

interface CalendarInput {
  /** What the ids of the entries rest on. */
  readonly id: string;
  readonly version: number;
  readonly plan: PracticePlan;
  readonly weekdays: readonly number[];
  readonly minutesAGo: number;
  readonly words: CalendarWords;
}

/** A practice plan as a calendar: a weekly entry for each go of a day, and the day it is looked at again. */
export function calendarOf({ id, version, plan, weekdays, minutesAGo, words }: CalendarInput): Promise<string> {
  const { title, description, review } = words;
  const goes = [...new Set(plan.goes.map(({ time }) => time))].map((time, index) => {
    const all = plan.goes.filter((go) => go.time === time);
    return {
      ...{
        id: `${id}-${String(index)}`,
        version,
        date: all[0]?.date ?? '',
        time,
        minutes: minutesAGo,
        title,
        description,
      },
      weekly: { count: all.length, weekdays },
    };
  });
  return calendarText(title, [...goes, { id: `${id}-review`, version, date: plan.reviewOn, title: review }]);
}
