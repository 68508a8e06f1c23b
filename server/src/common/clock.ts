import { Injectable } from '@nestjs/common';
import dayjs, { type Dayjs } from 'dayjs';
import timezone from 'dayjs/plugin/timezone.js';
import utc from 'dayjs/plugin/utc.js';

dayjs.extend(utc);
dayjs.extend(timezone);

/** A day of a studio: its date and ISO weekday, Monday is 1. */
interface StudioDay {
  readonly date: string;
  readonly weekday: number;
}

/** The one place where "now" enters the server; `SOFT_LARK_NOW` fixes it for tests and pictures. */
@Injectable()
export class Clock {
  /** The fixed instant, where there is one. */
  readonly fixed: string | null = process.env['SOFT_LARK_NOW'] ?? null;

  now(): Date {
    return this.fixed ? new Date(this.fixed) : new Date();
  }

  inZone(timeZone: string): Dayjs {
    return dayjs(this.now()).tz(timeZone);
  }

  /** Today as the studio's time zone has it. */
  today(timeZone: string): StudioDay {
    const local = this.inZone(timeZone);
    return { date: local.format('YYYY-MM-DD'), weekday: local.day() || 7 };
  }
}

/** Whether this name is a time zone that can be reckoned with. */
export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}
