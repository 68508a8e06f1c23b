import { isSounding, type Pattern } from '../pattern/index.ts';
import type { RunKey, RunStep } from '../run/index.ts';
import { courseSound, runKeySound, type SoundChoices, type SoundEvent } from '../sound/index.ts';
import type { PitchRange } from '../voice/index.ts';

/** House choice: seconds between one step and the next, to breathe and to read what comes; what may be chosen. */
export const GAPS = [3, 6, 12] as const;

/** Where a step lies on the track, in seconds from its start. */
export interface TrackStep {
  readonly name: string;
  readonly startsAt: number;
  readonly seconds: number;
}

/** A routine as it sounds from beginning to end, in seconds from its start. */
export interface GuideTrack {
  readonly events: readonly SoundEvent[];
  readonly steps: readonly TrackStep[];
  /** Beats per minute from a moment on, in order; the first at 0. */
  readonly tempos: readonly { readonly at: number; readonly tempo: number }[];
  /** Syllables where they are begun. */
  readonly words: readonly { readonly at: number; readonly text: string }[];
  readonly seconds: number;
}

export interface TrackChoices {
  /** Never sounded for this voice, MIDI. */
  readonly avoid: readonly PitchRange[];
  readonly gapSeconds: number;
  readonly choices?: SoundChoices;
  /** By who sounds in each key as it was planned; else the tune sounds in every key. */
  readonly asPlanned?: boolean;
}

const later = (events: readonly SoundEvent[], by: number): readonly SoundEvent[] =>
  events.map((event) => ({ ...event, startSeconds: event.startSeconds + by }));

function wordsOf(pattern: Pattern, key: RunKey, startsAt: number): { at: number; text: string }[] {
  let at = startsAt + key.cueSeconds;
  return pattern.events.flatMap((event) => {
    const word = isSounding(event) && !event.continues && event.syllable ? [{ at, text: event.syllable }] : [];
    at += (event.beats * 60) / key.tempo;
    return word;
  });
}

/** Keys one after the other, without the step's set-up. */
function keysOnTrack(step: RunStep, startsAt: number, { avoid, choices, asPlanned = false }: TrackChoices) {
  let clock = startsAt;
  return step.keys.map((key) => {
    const at = clock;
    clock += key.seconds;
    const help = asPlanned ? key.help : undefined;
    return {
      events: later(runKeySound(step.ladder, key, { avoid, ...(choices && { choices }), ...(help && { help }) }), at),
      tempo: { at, tempo: key.tempo },
      words: step.ladder ? wordsOf(step.ladder.pattern, key, at) : [],
      endsAt: clock,
    };
  });
}

/**
 * Lays a run out on one line of time: each step with its keys as the piano gives them, breath and spoken work by a click at
 * every part, a gap between steps. What is said to set a step up is left out.
 *
 * @returns no events and 0 seconds for a run without steps
 */
export function guideTrack(steps: readonly RunStep[], choices: TrackChoices): GuideTrack {
  const events: SoundEvent[] = [];
  const words: { at: number; text: string }[] = [];
  const tempos: { at: number; tempo: number }[] = [];
  const placed: TrackStep[] = [];
  let clock = 0;
  for (const step of steps) {
    const startsAt = placed.length === 0 ? 0 : clock + choices.gapSeconds;
    const keys = keysOnTrack(step, startsAt, choices);
    for (const key of keys) {
      events.push(...key.events);
      words.push(...key.words);
      if (tempos.at(-1)?.tempo !== key.tempo.tempo) tempos.push(key.tempo);
    }
    if (step.course) events.push(...later(courseSound(step.course), startsAt));
    clock = keys.at(-1)?.endsAt ?? startsAt + (step.course?.seconds ?? 0);
    placed.push({ name: step.name, startsAt, seconds: clock - startsAt });
  }
  return { events, steps: placed, tempos, words, seconds: clock };
}
