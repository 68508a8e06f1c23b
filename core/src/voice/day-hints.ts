import type { Condition } from './conditions.data.ts';

export interface DayHint {
  readonly condition: Exclude<Condition, 'fresh' | 'recovering'>;
  readonly why: 'morning' | 'late' | 'talks';
}

/** House choice: what a lesson time suggests; minutes after midnight. */
const MORNING_UNTIL = 10 * 60;
const LATE_FROM = 18 * 60;
/** Words of a teacher's note that tell of a voice used before the lesson. */
const TALKS = /\b(talks|talking|shouts|shouting|teaches|calls all|night shift)/i;

/**
 * What the time of a lesson and the note on a student suggest to ask about. Offered, never assumed.
 *
 * @param startsAt time of day, `HH:MM`
 * @example dayHints('08:30', 'Talks all night') // heavy, because of the morning; tired, because of the talking
 */
export function dayHints(startsAt: string, note: string): readonly DayHint[] {
  const [hours = 0, minutes = 0] = startsAt.split(':').map(Number);
  const time = hours * 60 + minutes;
  return [
    ...(time < MORNING_UNTIL ? [{ condition: 'heavy', why: 'morning' } as const] : []),
    ...(TALKS.test(note)
      ? [{ condition: 'tired', why: 'talks' } as const]
      : time >= LATE_FROM
        ? [{ condition: 'tired', why: 'late' } as const]
        : []),
  ];
}
