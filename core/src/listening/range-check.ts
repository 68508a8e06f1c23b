import type { PitchRange } from '../voice/index.ts';

/** How the notes of a check come in. */
export const CHECK_WAYS = ['microphone', 'keys', 'midi', 'simulated'] as const;
export type CheckWay = (typeof CHECK_WAYS)[number];

/** How a note went: easily, or only just. */
type Ease = 'easy' | 'possible';
type CheckPhase = 'speaking' | 'down' | 'up' | 'review';

/** A range check on its way: plain data, so that a check broken off half way can be kept. Pitches MIDI. */
export interface CheckState {
  readonly phase: CheckPhase;
  /** How notes count from here on in this leg. */
  readonly ease: Ease;
  readonly speakingNote: number | null;
  /** The note asked for now. */
  readonly target: number;
  readonly sung: Readonly<Record<number, Ease>>;
  /** Notes of this leg that did not come, since the last that did. */
  readonly misses: readonly number[];
  /** The last note that came. */
  readonly last: number | null;
  /** Where the voice cracked or turned over. */
  readonly turns: readonly number[];
}

export type CheckAction =
  | { readonly type: 'speaking'; readonly midi: number }
  /** A note was held, whatever was asked for. */
  | { readonly type: 'held'; readonly midi: number }
  | { readonly type: 'missed' }
  /** The last note was only just possible, and so are those that follow. */
  | { readonly type: 'harder' }
  | { readonly type: 'leg-over' }
  | { readonly type: 'turn'; readonly midi: number }
  /** Takes the last note back. */
  | { readonly type: 'take-back' };

/** What a check came to, for the teacher to correct and confirm. */
export interface CheckFindings {
  readonly speakingNote: number | null;
  readonly comfortable: PitchRange | null;
  readonly reach: PitchRange | null;
  readonly gaps: readonly PitchRange[];
  readonly bridges: readonly PitchRange[];
}

/** House choice: four notes running that do not come end a leg; three may be a gap. */
const MOST_MISSES = 4;
/** Turns nearer than this are one bridge, semitones. */
const ONE_BRIDGE = 3;

export function startCheck(): CheckState {
  return {
    phase: 'speaking',
    ease: 'easy',
    speakingNote: null,
    target: 0,
    sung: {},
    misses: [],
    last: null,
    turns: [],
  };
}

function legOver(state: CheckState): CheckState {
  const ended = { ...state, misses: [], ease: 'easy' as const, last: null };
  if (state.phase === 'down') return { ...ended, phase: 'up', target: (state.speakingNote ?? state.target) + 1 };
  return state.phase === 'up' ? { ...ended, phase: 'review' } : state;
}

function onward(state: CheckState, from: number): number {
  return state.phase === 'down' ? from - 1 : from + 1;
}

function held(state: CheckState, midi: number): CheckState {
  const sung = { ...state.sung, [midi]: state.ease };
  return { ...state, sung, misses: [], last: midi, target: onward(state, midi) };
}

function missed(state: CheckState): CheckState {
  const misses = [...state.misses, state.target];
  const after = { ...state, misses, target: onward(state, state.target) };
  return misses.length >= MOST_MISSES ? legOver(after) : after;
}

/** The note of this leg that came before one; null where it was the first. */
function before({ phase, speakingNote, sung }: CheckState, midi: number): number | null {
  const start = speakingNote ?? midi;
  const ofLeg = Object.keys(sung)
    .map(Number)
    .filter((note) => (phase === 'down' ? note <= start && note > midi : note > start && note < midi));
  if (ofLeg.length === 0) return null;
  return phase === 'down' ? Math.min(...ofLeg) : Math.max(...ofLeg);
}

/** The last note is as if it had never come; how notes count is again as it was before it. */
function takeBack(state: CheckState): CheckState {
  if (state.last === null) return state;
  const { [state.last]: taken, ...sung } = state.sung;
  if (taken === undefined) return state;
  const last = before(state, state.last);
  const ease = last === null ? 'easy' : (state.sung[last] ?? 'easy');
  return { ...state, sung, ease, target: state.last, last, misses: [] };
}

/**
 * What a range check becomes: speaking note first, then down from there, then up. Notes count when they were held; the
 * teacher says when they are only just possible, and when a leg is over.
 *
 * @returns the same state where the act has no meaning
 */
export function conductCheck(state: CheckState, action: CheckAction): CheckState {
  if (action.type === 'turn') return { ...state, turns: [...state.turns, action.midi] };
  if (state.phase === 'speaking') {
    if (action.type !== 'speaking') return state;
    return { ...state, phase: 'down', speakingNote: action.midi, target: action.midi };
  }
  if (state.phase === 'review') return state;
  switch (action.type) {
    case 'speaking':
      return state;
    case 'held':
      return held(state, action.midi);
    case 'missed':
      return missed(state);
    case 'harder': {
      const sung = state.last === null ? state.sung : { ...state.sung, [state.last]: 'possible' as const };
      return { ...state, ease: 'possible', sung };
    }
    case 'leg-over':
      return legOver(state);
    case 'take-back':
      return takeBack(state);
  }
}

function ends(notes: readonly number[]): PitchRange | null {
  return notes.length > 0 ? { low: Math.min(...notes), high: Math.max(...notes) } : null;
}

function missingIn(range: PitchRange, notes: ReadonlySet<number>): readonly PitchRange[] {
  const gaps: PitchRange[] = [];
  for (let note = range.low; note <= range.high; note += 1) {
    if (notes.has(note)) continue;
    const last = gaps.at(-1);
    if (last?.high === note - 1) gaps.splice(-1, 1, { low: last.low, high: note });
    else gaps.push({ low: note, high: note });
  }
  return gaps;
}

/** Turns that lie near each other, as bridges with two edges. */
function bridgesOf(turns: readonly number[]): readonly PitchRange[] {
  const bridges: PitchRange[] = [];
  for (const turn of [...turns].sort((a, b) => a - b)) {
    const last = bridges.at(-1);
    if (last && turn - last.low <= ONE_BRIDGE) bridges.splice(-1, 1, { low: last.low, high: turn });
    else bridges.push({ low: turn, high: turn });
  }
  return bridges;
}

/** What the check has found so far. A comfortable range within a reach, notes that did not come between them, bridges. */
export function findingsOf({ speakingNote, sung, turns }: CheckState): CheckFindings {
  const notes = Object.keys(sung).map(Number);
  const comfortable = ends(notes.filter((note) => sung[note] === 'easy'));
  const reach = ends(notes);
  return {
    speakingNote,
    comfortable,
    reach,
    gaps: comfortable ? missingIn(comfortable, new Set(notes)) : [],
    bridges: bridgesOf(turns),
  };
}
