// Source: house reading of usual practice: few things, done through the voice, that come back.
import type { DraftLength } from '../limits/index.ts';

/** Of the exercises of a warm-up of so many minutes: new to the student, gentle first-level work not counted; and without voice. */
export const MOST_OF_A_KIND: Readonly<Record<DraftLength, { readonly mostNew: number; readonly mostSilent: number }>> =
  {
    3: { mostNew: 1, mostSilent: 0 },
    5: { mostNew: 1, mostSilent: 1 },
    8: { mostNew: 1, mostSilent: 1 },
    10: { mostNew: 2, mostSilent: 2 },
    12: { mostNew: 2, mostSilent: 2 },
    15: { mostNew: 2, mostSilent: 3 },
    20: { mostNew: 3, mostSilent: 3 },
    30: { mostNew: 3, mostSilent: 4 },
    45: { mostNew: 3, mostSilent: 5 },
  };

/** Up to so many minutes a cool-down is short; from such a load on it is long, but never over so large a share. */
export const COOL_DOWN = { shortMinutes: 5, heavyLoad: 4, mostShare: 0.3 } as const;
