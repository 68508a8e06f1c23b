import type { Pattern } from '../pattern/index.ts';
import type { Voice, VoiceType } from '../voice/index.ts';

/** The rules of a start that are not a note by name. */
export const PLACEMENT_RULES = ['low-anchor', 'high-anchor', 'bridge-anchor', 'speaking-pitch'] as const;

/** Where an exercise likes to start. `semitones` as the rule counts them. */
export type PlacementRule =
  | { readonly rule: 'low-anchor'; readonly semitones?: number }
  | { readonly rule: 'high-anchor'; readonly semitones?: number }
  | { readonly rule: 'bridge-anchor'; readonly semitones?: number }
  | { readonly rule: 'speaking-pitch' }
  | { readonly rule: 'absolute'; readonly notes: Partial<Readonly<Record<VoiceType, number>>> };

export interface StartProposal {
  readonly start: number;
  /** Semitones the rule's own note was moved to lie inside the limits; 0 for none. */
  readonly movesBy: number;
}

const LOW_ANCHOR = 3;
const HIGH_ANCHOR = 2;
const BRIDGE_ANCHOR = 2;
/** House choice where the speaking note is unknown: the usual distance of speech from the lowest note. */
const SPEAKING_OVER_FLOOR = 3;

interface Place {
  readonly pattern: Pattern;
  readonly floor: number;
  readonly ceiling: number;
  readonly placement: PlacementRule;
  readonly voice: Pick<Voice, 'type' | 'bridges' | 'speakingNote'>;
}

function ideal({ pattern, floor, ceiling, placement, voice }: Place): number {
  const span = pattern.high - pattern.low;
  const lowAnchor = floor + LOW_ANCHOR - pattern.low;
  switch (placement.rule) {
    case 'low-anchor':
      return floor + (placement.semitones ?? LOW_ANCHOR) - pattern.low;
    case 'high-anchor':
      return ceiling - (placement.semitones ?? HIGH_ANCHOR) - pattern.high;
    case 'speaking-pitch':
      return voice.speakingNote ?? floor + SPEAKING_OVER_FLOOR;
    case 'absolute':
      return placement.notes[voice.type] ?? lowAnchor;
    case 'bridge-anchor': {
      const bridge = voice.bridges?.find((note) => note >= floor + span);
      return bridge === undefined ? lowAnchor : bridge + (placement.semitones ?? BRIDGE_ANCHOR) - pattern.high;
    }
  }
}

/**
 * Proposes degree 1 of the first key by the exercise's own rule, moved inside the limits if need be.
 * Without a bridge to stand on, `bridge-anchor` falls back to three above the floor.
 *
 * @returns `null` where the pattern is wider than the limits
 * @example 1 2 3 4 5 4 3 2 1 with low-anchor 3 in 58–75: start 61
 */
export function proposeStart(place: Place): StartProposal | null {
  const { pattern, floor, ceiling } = place;
  if (pattern.high - pattern.low > ceiling - floor) return null;
  const wanted = ideal(place);
  const start = Math.min(Math.max(wanted, floor - pattern.low), ceiling - pattern.high);
  return { start, movesBy: start - wanted };
}
