import { minutesOfDay, type BlockCount, type DayWishes, type FixedTime, type Programme } from '@soft-lark/core';

/** Something fixed as it is typed; an empty time is none. */
export interface TypedTime {
  readonly time: string;
  readonly minutes: number;
}

/** A day as it is typed and kept on this device. */
export interface TypedDay {
  readonly date: string;
  readonly waking: string;
  readonly performances: readonly TypedTime[];
  readonly call: string;
  readonly meals: readonly TypedTime[];
  readonly travel: readonly TypedTime[];
  readonly blocks: BlockCount;
  readonly programme: Programme;
  readonly held: Readonly<Record<string, number>>;
  /** What is sung in the blocks. */
  readonly routineId?: string | undefined;
}

export const USUAL_DAY: Omit<TypedDay, 'date'> = {
  waking: '08:00',
  performances: [
    { time: '19:30', minutes: 90 },
    { time: '', minutes: 60 },
  ],
  call: '18:00',
  meals: [
    { time: '12:30', minutes: 40 },
    { time: '17:00', minutes: 30 },
  ],
  travel: [{ time: '', minutes: 30 }],
  blocks: 3,
  programme: 'usual',
  held: {},
};

const MIDNIGHT = 24 * 60;

/** A typed day as the core plans it: what lies before waking belongs to the night after. */
export function wishesOf({ waking, performances, call, meals, travel, blocks, programme, held }: TypedDay): DayWishes {
  const woken = minutesOfDay(waking);
  const at = (time: string): number => minutesOfDay(time) + (minutesOfDay(time) < woken ? MIDNIGHT : 0);
  const fixed = (times: readonly TypedTime[]): FixedTime[] =>
    times
      .filter(({ time }) => time !== '')
      .map(({ time, minutes }) => ({ at: at(time), minutes }))
      .sort((one, other) => one.at - other.at);
  return {
    ...{ waking: woken, blocks, programme, held },
    performances: fixed(performances),
    meals: fixed(meals),
    travel: fixed(travel),
    ...(call !== '' && { call: at(call) }),
  };
}

/** Minutes of a day as a time of the clock. */
export function clockOf(minutes: number): string {
  const ofDay = ((minutes % MIDNIGHT) + MIDNIGHT) % MIDNIGHT;
  return `${String(Math.floor(ofDay / 60)).padStart(2, '0')}:${String(ofDay % 60).padStart(2, '0')}`;
}
