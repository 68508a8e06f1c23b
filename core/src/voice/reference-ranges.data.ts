// Source: common voice-teaching references, schools differ; bridges of contralto, countertenor and trebles vary most.
import type { PitchRange } from './voice-file.schema.ts';
import type { ChangingStage, VoiceType } from './voice-kinds.data.ts';

/** One row of the reference table, MIDI: usual trained range, comfortable default, bridges from the lowest. */
export interface ReferenceRange {
  readonly usual: PitchRange;
  readonly comfortable: PitchRange;
  readonly bridges: readonly number[];
}

export type AdultType = Exclude<VoiceType, 'treble' | 'changing'>;

function row(usual: [number, number], comfortable: [number, number], bridges: number[]): ReferenceRange {
  return {
    usual: { low: usual[0], high: usual[1] },
    comfortable: { low: comfortable[0], high: comfortable[1] },
    bridges,
  };
}

/** Rows of the table: adult types, trebles by the highest age of the row, changing voices by stage (whole range, middle). */
const ROWS = {
  soprano: row([60, 84], [62, 77], [63, 78]),
  'mezzo-soprano': row([57, 81], [59, 74], [64, 77]),
  contralto: row([53, 77], [55, 72], [65, 74]),
  countertenor: row([55, 76], [57, 71], [62, 72]),
  tenor: row([48, 72], [50, 65], [62, 67]),
  baritone: row([45, 67], [47, 62], [59, 64]),
  'bass-baritone': row([41, 65], [45, 60], [57, 62]),
  bass: row([40, 64], [43, 59], [56, 61]),
  'treble to 6': row([60, 69], [62, 69], []),
  'treble to 9': row([58, 74], [60, 69], [65]),
  'treble to 12': row([57, 77], [59, 74], [65, 74]),
  first: row([56, 72], [59, 67], []),
  second: row([53, 69], [56, 65], []),
  third: row([50, 66], [54, 62], []),
  new: row([47, 63], [52, 59], []),
  settling: row([43, 62], [47, 56], []),
  early: row([57, 79], [62, 74], []),
  peak: row([57, 77], [59, 72], [67]),
  'young-adult': row([57, 81], [59, 76], []),
} satisfies Record<AdultType | ChangingStage | `treble to ${string}`, ReferenceRange>;

export type ReferenceName = keyof typeof ROWS;
export type ReferenceTable = Readonly<Record<ReferenceName, ReferenceRange>>;

export const REFERENCE_RANGES: ReferenceTable = ROWS;

/** The usual speaking note of a voice that was neither measured nor asked, MIDI. */
export const SPEAKING_NOTES: Readonly<Record<ReferenceName, number>> = {
  ...{ soprano: 58, 'mezzo-soprano': 57, contralto: 54, countertenor: 50 },
  ...{ tenor: 50, baritone: 47, 'bass-baritone': 45, bass: 43 },
  ...{ 'treble to 6': 62, 'treble to 9': 61, 'treble to 12': 59 },
  ...{ first: 57, second: 55, third: 51, new: 48, settling: 47 },
  ...{ early: 60, peak: 58, 'young-adult': 57 },
};

/** A treble without an age counts as 7–9, 13 and over as 10–12. */
export const TREBLES: readonly { readonly toAge: number; readonly name: ReferenceName }[] = [
  { toAge: 6, name: 'treble to 6' },
  { toAge: 9, name: 'treble to 9' },
  { toAge: Infinity, name: 'treble to 12' },
];
export const TREBLE_AGE_UNKNOWN = 9;
export const CHANGING_STAGE_UNKNOWN: ChangingStage = 'second';

/** Highest chest-led note by default, and with shown ease. */
export const BELT_CEILINGS: Readonly<Record<AdultType, { readonly usual: number; readonly withEase: number }>> = {
  soprano: { usual: 69, withEase: 74 },
  'mezzo-soprano': { usual: 69, withEase: 74 },
  contralto: { usual: 69, withEase: 74 },
  countertenor: { usual: 67, withEase: 71 },
  tenor: { usual: 67, withEase: 71 },
  baritone: { usual: 64, withEase: 67 },
  'bass-baritone': { usual: 64, withEase: 67 },
  bass: { usual: 62, withEase: 65 },
};
