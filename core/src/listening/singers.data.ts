// Source: made up; each stands for a kind of voice that a range check has to cope with. Pitches MIDI, spreads in cents.
import type { PitchRange } from '../voice/index.ts';

export type SingerName = 'steady' | 'cracking' | 'breathy' | 'changing' | 'low-morning';

/** A voice as the simulated singer sings it. */
export interface Singer {
  readonly speakingNote: number;
  readonly comfortable: PitchRange;
  readonly reach: PitchRange;
  readonly bridge: PitchRange;
  /** Notes inside the range that do not speak. */
  readonly gap?: PitchRange;
  readonly missCents: number;
  readonly wobbleCents: number;
  readonly vibratoHz: number;
  readonly vibratoCents: number;
  /** 0 clear, 1 all air. */
  readonly breathiness: number;
  /** The longest hiss. */
  readonly breathSeconds: number;
  /** How often a note at the bridge cracks, 0–1. */
  readonly crackShare: number;
}

const range = (low: number, high: number): PitchRange => ({ low, high });

export const SINGERS: Readonly<Record<SingerName, Singer>> = {
  steady: {
    speakingNote: 58,
    comfortable: range(56, 75),
    reach: range(54, 79),
    bridge: range(64, 65),
    missCents: 6,
    wobbleCents: 5,
    vibratoHz: 5.4,
    vibratoCents: 35,
    breathiness: 0.05,
    crackShare: 0,
    breathSeconds: 24,
  },
  cracking: {
    speakingNote: 50,
    comfortable: range(48, 65),
    reach: range(46, 69),
    bridge: range(61, 63),
    missCents: 10,
    wobbleCents: 8,
    vibratoHz: 5,
    vibratoCents: 15,
    breathiness: 0.1,
    crackShare: 0.8,
    breathSeconds: 14,
  },
  breathy: {
    speakingNote: 57,
    comfortable: range(56, 69),
    reach: range(54, 72),
    bridge: range(63, 64),
    missCents: 25,
    wobbleCents: 14,
    vibratoHz: 0,
    vibratoCents: 0,
    breathiness: 0.5,
    crackShare: 0.1,
    breathSeconds: 9,
  },
  changing: {
    speakingNote: 52,
    comfortable: range(48, 67),
    reach: range(46, 70),
    bridge: range(58, 61),
    gap: range(58, 60),
    missCents: 18,
    wobbleCents: 12,
    vibratoHz: 0,
    vibratoCents: 0,
    breathiness: 0.25,
    crackShare: 0.6,
    breathSeconds: 10,
  },
  'low-morning': {
    speakingNote: 44,
    comfortable: range(40, 58),
    reach: range(38, 61),
    bridge: range(57, 58),
    missCents: 12,
    wobbleCents: 10,
    vibratoHz: 4.8,
    vibratoCents: 20,
    breathiness: 0.3,
    crackShare: 0.2,
    breathSeconds: 16,
  },
};
