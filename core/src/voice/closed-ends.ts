import type { PitchRange } from './voice-file.schema.ts';
import type { Voice } from './voice.types.ts';

/** The part of a range that is left where closed stretches hold an end of it; the range itself where they leave nothing. */
function openPart(range: PitchRange, closed: readonly PitchRange[]): PitchRange {
  let { low, high } = range;
  for (;;) {
    const above = closed.find((one) => one.low <= high && one.high >= high);
    const below = closed.find((one) => one.low <= low && one.high >= low);
    if (!above && !below) return { low, high };
    high = above ? above.low - 1 : high;
    low = below ? below.high + 1 : low;
    if (low > high) return range;
  }
}

/**
 * A voice's comfortable range and reach, ended where a zone or a gap lies at an end.
 *
 * @param closed stretches that are not sung, MIDI
 * @example comfortable 57–76, reach 55–81, closed 75–77: comfortable 57–74, reach 55–74
 * Source: house reading; what is never sung at the top is the top.
 */
export function openRanges(
  comfortable: PitchRange,
  reach: PitchRange,
  closed: Voice['closed'] = [],
): { readonly comfortable: PitchRange; readonly reach: PitchRange } {
  if (closed.length === 0) return { comfortable, reach };
  const open = openPart(comfortable, closed);
  const above = closed.filter(({ low }) => low > open.high).map(({ low }) => low - 1);
  const below = closed.filter(({ high }) => high < open.low).map(({ high }) => high + 1);
  return { comfortable: open, reach: { low: Math.max(reach.low, ...below), high: Math.min(reach.high, ...above) } };
}
