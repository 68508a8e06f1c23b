// Source: usual teaching, schools differ; house choice where they are silent. What a condition of the day does: one row
// each, in the order in which the strongest speaks first, and everything that asks what a day is reads it here.

/** What a day can be, as limits, ladders, drafts, review and gate ask. */
export type DayEffect =
  /** Rested: it stands alone, and work that extends the range has its place. */
  | 'rested'
  /** Worn: what gentle work gains does not cancel the day, nothing extends the range, occluded work comes first. */
  | 'worn'
  /** Low: ladders begin in the middle and go down first, and the floor is not stretched. */
  | 'low'
  /** Ladders go down first in a school that is led by the day. */
  | 'led-down'
  /** One breath carries less. */
  | 'short-breath'
  /** Occluded work has little resistance. */
  | 'little-resistance'
  /** Belt and grit rest. */
  | 'heavy-work-rests'
  | 'grit-rests'
  /** The gate asks how long ago the illness was. */
  | 'asks-recovery';

/** A day of less singing: a share of the usual minutes, or so many at most; in so many goes. */
export interface ShorterDay {
  readonly share?: number;
  readonly mostMinutes?: number;
  readonly goes: number;
}

export interface ConditionRow {
  readonly effects: readonly DayEffect[];
  /** The ceiling is lower by so many semitones: the reference, and between what a teacher may set it. */
  readonly lower?: { readonly usual: number; readonly least: number; readonly most: number };
  /** Occluded work the review wants: a share of what is sung, or of a few minutes as for older voices. */
  readonly occluded?: { readonly of: 'sung' | 'minutes' };
  /** The plan a draft follows. */
  readonly plan?: 'tired' | 'recovering';
  readonly length?: ShorterDay;
}

export const CONDITION_TABLE = {
  recovering: {
    effects: ['worn', 'short-breath', 'heavy-work-rests', 'asks-recovery'],
    lower: { usual: 3, least: 1, most: 9 },
    occluded: { of: 'sung' },
    plan: 'recovering',
  },
  tired: {
    effects: ['worn', 'led-down', 'little-resistance', 'grit-rests'],
    lower: { usual: 2, least: 1, most: 7 },
    occluded: { of: 'minutes' },
    plan: 'tired',
  },
  heavy: {
    effects: ['low'],
    lower: { usual: 2, least: 1, most: 7 },
  },
  fresh: { effects: ['rested'] },
} as const satisfies Record<string, ConditionRow>;

export type Condition = keyof typeof CONDITION_TABLE;
/** Conditions that weigh on a voice. */
export type Burden = Exclude<Condition, 'fresh'>;
