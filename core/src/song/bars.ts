import type { MelodyEvent } from './melody.types.ts';

/** Where the bars of a tune lie; lengths in beats. */
export interface Meter {
  readonly beatsPerBar: number;
  /** Beats before the first full bar; nought where the tune begins on one. */
  readonly pickupBeats: number;
}

/** Beats nearer than this are the same; sums of thirds are never whole. */
const SAME = 1e-6;

/** The bar an event that begins so many beats in belongs to: 0 is the pickup, or the first bar where there is none. */
function barAt(startBeats: number, { beatsPerBar, pickupBeats }: Meter): number {
  if (startBeats < pickupBeats - SAME) return 0;
  return Math.floor((startBeats - pickupBeats) / beatsPerBar + SAME) + (pickupBeats > 0 ? 1 : 0);
}

/** How many bars a tune has, a pickup counted as one. */
export function barCount(events: readonly MelodyEvent[], meter: Meter): number {
  let clock = 0;
  let last = 0;
  for (const { beats } of events) {
    last = barAt(clock, meter);
    clock += beats;
  }
  return events.length === 0 ? 0 : last + 1;
}

/**
 * The events of some bars of a tune; a note belongs to the bar it begins in.
 *
 * @param from first bar, counted from 0
 * @param to bar after the last
 * @example eventsOfBars(four quarter notes and four more, 1, 2, { beatsPerBar: 4, pickupBeats: 0 }) // the last four
 */
export function eventsOfBars(
  events: readonly MelodyEvent[],
  from: number,
  to: number,
  meter: Meter,
): readonly MelodyEvent[] {
  let clock = 0;
  return events.filter(({ beats }) => {
    const bar = barAt(clock, meter);
    clock += beats;
    return bar >= from && bar < to;
  });
}
