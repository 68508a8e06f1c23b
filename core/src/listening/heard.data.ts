// Source: the in-tune window of the design; the others house choices, tried on the simulated singers and on rendered sound.

/** When a note of a key counts as sung. */
export const HEARD_NOTE = {
  /** A note is in tune so near its middle, cents. */
  inTuneCents: 35,
  /** Farther off than this it is another note, semitones. */
  otherNoteSemitones: 0.8,
  /** How a note is reached is not how it is in tune: left out of its start, seconds, and at most this share of it. */
  arrivingSeconds: 0.08,
  arrivingShare: 0.25,
  /** So much of a note must sound to have been sung. */
  leastShare: 0.25,
} as const;

/** How late, or early, a whole key may be sung after its cue; seconds. */
export const LAG = { earliest: -0.3, latest: 1.8, step: 0.02 } as const;

/** When what was heard proposes a mark. */
export const PROPOSED = {
  /** Fewer of the notes in tune than this: pitch. */
  leastInTune: 0.5,
  /** The last note broke off before this share of it, or never came: breath. */
  leastOfLastNote: 0.4,
} as const;

/** Swings that are vibrato: how often a second, how far to each side, and how much of the movement they are. */
export const VIBRATO = {
  slowestHz: 3,
  fastestHz: 9,
  stepHz: 0.1,
  leastCents: 12,
  leastShare: 0.45,
  leastSeconds: 0.6,
} as const;

/** When a sound that began has become a pitch. */
export const ONSET = { steadyCents: 35, steadySeconds: 0.1 } as const;

/** What is a breath that is heard, and when it is over. */
export const HEARD_BREATH = {
  /** Quieter than this is the room, whatever else is heard; level 0–1. */
  leastLevel: 0.004,
  /** So many times the room before it, and this share of its own loudest tenth. */
  timesTheRoom: 2,
  leastShare: 0.3,
  /** A gap so short does not end it; what is shorter in all is no breath. Seconds. */
  joinedSeconds: 0.25,
  leastSeconds: 0.4,
  /** So much after its last count it is still listened to. */
  lateSeconds: 2,
  /** It arrives on the count within this share of one. */
  onCountShare: 0.5,
} as const;
