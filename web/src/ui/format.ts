import dayjs from 'dayjs';

/** Made once: a format costs more than all it formats. */
const SHORT_DAY = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short' });
const DAY = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'long' });

/** Minutes and seconds, `9:28`. */
export function clockText(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  return `${String(Math.floor(whole / 60))}:${String(whole % 60).padStart(2, '0')}`;
}

/** Day and month in the browser's locale. */
export function dayText(date: string): string {
  return DAY.format(dayjs(date).toDate());
}

/** Day and short month in the browser's locale. */
export function shortDayText(date: string | number): string {
  return SHORT_DAY.format(dayjs(date).toDate());
}

/** A short weekday for the last week, else day and month. */
export function recentDayText(instant: string, now: Date): string {
  const date = dayjs(instant);
  const isRecent = dayjs(now).diff(date, 'day') < 6;
  return new Intl.DateTimeFormat(
    undefined,
    isRecent ? { weekday: 'short' } : { day: 'numeric', month: 'short' },
  ).format(date.toDate());
}

/** Day, month and time in the browser's locale. */
export function momentText(instant: string | number): string {
  return new Intl.DateTimeFormat(undefined, {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  }).format(new Date(instant));
}
