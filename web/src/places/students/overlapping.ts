import { minutesOfDay } from '@soft-lark/core';
import type { Lesson } from '../../api/students.queries.ts';

type Slot = Pick<Lesson, 'weekday' | 'startsAt' | 'minutes'>;

const DAY = 24 * 60;
const WEEK = 7 * DAY;

const startOf = ({ weekday, startsAt }: Slot): number => (weekday - 1) * DAY + minutesOfDay(startsAt);

/** Lessons of the week that a new one would meet, those that go on past midnight and into Monday among them. */
export function overlapping<L extends Slot>(slot: Slot, lessons: readonly L[]): readonly L[] {
  const start = startOf(slot);
  return lessons.filter((lesson) => {
    const after = (startOf(lesson) - start + WEEK) % WEEK;
    return after < slot.minutes || WEEK - after < lesson.minutes;
  });
}
