import { type PitchRange } from '@soft-lark/core';
import type { RangeCheck } from '../../api/range-checks.queries.ts';
import { pitchScale } from '../../flight/pitch-scale.ts';
import { writeNote } from '../../text/note-names.ts';

interface CheckColumn {
  readonly id: string;
  readonly x: number;
  readonly day: string;
  readonly reach: { readonly top: number; readonly bottom: number };
  readonly comfortable: { readonly top: number; readonly bottom: number };
  readonly high: string;
  readonly low: string;
  readonly bridges: readonly number[];
}

const TOP = 26;
const BOTTOM = 40;
const SIDE = 44;

function ends(check: RangeCheck): PitchRange {
  return { low: check.reachLow ?? check.low, high: check.reachHigh ?? check.high };
}

/** Lays range checks out as columns from the oldest to the newest, spaced by their days, on one pitch scale. */
export function layHistory(checks: readonly RangeCheck[], width: number, height: number): readonly CheckColumn[] {
  const [first] = checks;
  const last = checks.at(-1);
  if (!first || !last) return [];
  const reaches = checks.map(ends);
  const scale = pitchScale(
    Math.min(...reaches.map(({ low }) => low)),
    Math.max(...reaches.map(({ high }) => high)),
    TOP,
    height - BOTTOM,
  );
  const span = Math.max(1, Date.parse(last.day) - Date.parse(first.day));
  return checks.map((check, index) => {
    const reach = ends(check);
    const share = checks.length === 1 ? 0.5 : (Date.parse(check.day) - Date.parse(first.day)) / span;
    const room = (width - 2 * SIDE) / Math.max(1, checks.length - 1);
    // Half by the days, half by the order: two checks of one week must not lie on each other.
    const x = checks.length === 1 ? width / 2 : SIDE + (share * (width - 2 * SIDE) + index * room) / 2;
    return {
      id: check.id,
      x,
      day: check.day,
      reach: { top: scale.y(reach.high), bottom: scale.y(reach.low) },
      comfortable: { top: scale.y(check.high), bottom: scale.y(check.low) },
      high: writeNote(check.high),
      low: writeNote(check.low),
      bridges: check.bridges.map(({ low, high }) => scale.y((low + high) / 2)),
    };
  });
}
