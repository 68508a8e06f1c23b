/** How many hours a clock has before it begins again. */
export const CLOCK_HOURS = ['24', '12'] as const;
export type ClockHours = (typeof CLOCK_HOURS)[number];

/** Minutes since midnight of a time such as `15:30`. */
export function minutesOfDay(time: string): number {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return hours * 60 + minutes;
}
