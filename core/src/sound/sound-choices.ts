import type { SoundRole } from './sound.types.ts';

/** What gives a key before it is sung. */
export const CUES = ['chord-and-note', 'chord', 'note', 'bass-and-chord'] as const;
export type Cue = (typeof CUES)[number];

/** When a click beats: never, while the cue sounds, or all through the key. */
export const CLICKS = ['none', 'count-in', 'throughout'] as const;
export type Click = (typeof CLICKS)[number];

/** The parts that are made louder or softer by themselves. */
export const SOUND_PARTS = ['cue', 'tune', 'click'] as const;
export type SoundPart = (typeof SOUND_PARTS)[number];

/** Semitones by which a key that is only shown is moved: at the student’s own octave, or at that of the teacher. */
export const SHOWN_AT = [0, -12, 12] as const;

/** How a key is played. Levels are shares of the usual loudness, 0 silent to 1. */
export interface SoundChoices {
  readonly cue: Cue;
  readonly click: Click;
  readonly shownAt: (typeof SHOWN_AT)[number];
  readonly levels: Readonly<Record<SoundPart, number>>;
}

export const USUAL_SOUND: SoundChoices = {
  cue: 'chord-and-note',
  click: 'none',
  shownAt: 0,
  levels: { cue: 1, tune: 1, click: 1 },
};

export const PART_OF: Readonly<Record<SoundRole, SoundPart>> = {
  bass: 'cue',
  chord: 'cue',
  'first-note': 'cue',
  tune: 'tune',
  click: 'click',
};
