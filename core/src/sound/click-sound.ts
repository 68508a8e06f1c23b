import type { Click } from './sound-choices.ts';
import type { SoundEvent } from './sound.types.ts';

/** House choice: a knock, far above any voice so that it is not taken for the tune; the first beat a fourth higher. */
const CLICK_MIDI = { first: 101, other: 96 };
const CLICK_SECONDS = 0.04;
const LOUDNESS = { first: 0.5, other: 0.32 };
const NEXT_TO_NOTHING = 1e-6;

/** One click, the stronger or the softer one. */
export function clickAt(startSeconds: number, which: keyof typeof CLICK_MIDI): SoundEvent {
  return { role: 'click', midi: CLICK_MIDI[which], startSeconds, seconds: CLICK_SECONDS, velocity: LOUDNESS[which] };
}

/**
 * The clicks of one key: on every beat of the cue, and where wanted on every beat of the tune; each begins on its own first
 * beat, which is the stronger one.
 *
 * @param tempo beats per minute
 * @param beats of the tune
 */
export function clickSound(click: Click, tempo: number, cueBeats: number, beats: number): readonly SoundEvent[] {
  if (click === 'none') return [];
  const beat = 60 / tempo;
  const stretch = (from: number, length: number): SoundEvent[] =>
    Array.from({ length: Math.ceil(length - NEXT_TO_NOTHING) }, (_, index) =>
      clickAt((from + index) * beat, index === 0 ? 'first' : 'other'),
    );
  return [...stretch(0, cueBeats), ...(click === 'throughout' ? stretch(cueBeats, beats) : [])];
}
