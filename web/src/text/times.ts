import { minutesOfDay, type ClockHours } from '@soft-lark/core';
import dayjs from 'dayjs';
import { text } from './i18n.ts';

interface StudioTime {
  readonly clock: ClockHours;
  readonly timeZone: string;
}

let studio: StudioTime | undefined;
const formats = new Map<string, Intl.DateTimeFormat>();

/** How the studio writes times, and where it is, for every screen; whoever changes it draws the screens again. */
export function setStudioTime(chosen: StudioTime): void {
  studio = chosen;
  formats.clear();
}

/** The browser's own form of the language that is spoken here, such as British English. */
export function locale(): string {
  return navigator.languages.find((name) => name.split('-')[0] === text.language) ?? text.language;
}

/** Made once: a format costs more than all it formats. */
function write(instant: Date, options: Intl.DateTimeFormatOptions): string {
  const whole = { ...(studio && { timeZone: studio.timeZone, hour12: studio.clock === '12' }), ...options };
  const key = JSON.stringify([locale(), whole]);
  const format = formats.get(key) ?? new Intl.DateTimeFormat(locale(), whole);
  formats.set(key, format);
  return format.format(instant);
}

/** Whether times here are others than the browser's; its zone has to be named then. */
export function isElsewhere(now: Date): boolean {
  if (!studio) return false;
  const hereAndThere = [studio.timeZone, Intl.DateTimeFormat().resolvedOptions().timeZone].map((timeZone) =>
    new Intl.DateTimeFormat('en', { timeZone, dateStyle: 'short', timeStyle: 'short' }).format(now),
  );
  return hereAndThere[0] !== hereAndThere[1];
}

/** Minutes and seconds, `9:28`. */
export function clockText(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  return `${String(Math.floor(whole / 60))}:${String(whole % 60).padStart(2, '0')}`;
}

/** A time of the day such as `15:30`, as this studio writes it. */
export function timeText(time: string): string {
  const instant = new Date(Date.UTC(2026, 0, 1, 0, minutesOfDay(time)));
  return write(instant, { hour: studio?.clock === '12' ? 'numeric' : '2-digit', minute: '2-digit', timeZone: 'UTC' });
}

/** A day has no zone; an instant is read where the studio is. */
function writeDay(date: string | number, month: 'long' | 'short'): string {
  const isDay = typeof date === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(date);
  return write(new Date(date), { day: 'numeric', month, ...(isDay && { timeZone: 'UTC' }) });
}

/** The short name of a day of the week, 1 Monday to 7 Sunday. */
export function weekdayText(weekday: number): string {
  return write(new Date(Date.UTC(2024, 0, weekday)), { weekday: 'short', timeZone: 'UTC' });
}

/** Day and month. */
export const dayText = (date: string): string => writeDay(date, 'long');

/** Day and short month. */
export const shortDayText = (date: string | number): string => writeDay(date, 'short');

/** A short weekday for the last week, else day and month. */
export function recentDayText(instant: string, now: Date): string {
  const isRecent = dayjs(now).diff(instant, 'day') < 6;
  return write(new Date(instant), isRecent ? { weekday: 'short' } : { day: 'numeric', month: 'short' });
}

/** Day, month and time. */
export function momentText(instant: string | number): string {
  return write(new Date(instant), { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
}
