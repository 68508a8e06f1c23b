import { USUAL_CUE_BEATS, USUAL_REST_BEATS, type LadderInput } from '../ladder/index.ts';
import type { Mark } from '../past/index.ts';
import { currentStep } from './run-queries.ts';
import type { SungKey } from './run.schema.ts';
import type { RunKey, RunState, RunStep } from './run.types.ts';

/** House choice: beats per minute of one press, and between what a run may be set on the way. */
export const LIVE_TEMPO = { step: 4, least: 30, most: 240 } as const;

/** A key at another tempo: cue, tune and breath take longer or shorter, a rest in seconds stays what it is. */
function keyAt(key: RunKey, tempo: number, ladder: LadderInput): RunKey {
  const { pattern, cueBeats = USUAL_CUE_BEATS, restBeats = USUAL_REST_BEATS } = ladder;
  const beats = cueBeats + pattern.beats + restBeats;
  const cueSeconds = (cueBeats * 60) / tempo;
  // The last key of a ladder has no breath after it, some have a rest: what is not in beats is kept in seconds.
  const inBeats = Math.min(key.seconds, (beats * 60) / key.tempo);
  return { ...key, tempo, cueSeconds, seconds: key.seconds - inBeats + (inBeats * key.tempo) / tempo };
}

function withStep(state: RunState, change: Partial<RunStep>): RunState {
  const steps = state.steps.map((step, index) => (index === state.stepIndex ? { ...step, ...change } : step));
  return { ...state, steps };
}

/** The tempos of what is still to come, changed; the same state where one would be too slow or too fast to sing. */
function withTempos(state: RunState, change: (tempo: number) => number, isHalf: boolean): RunState {
  const step = currentStep(state);
  if (!step?.ladder) return state;
  const from = state.begun ? state.keyIndex + 1 : 0;
  const { ladder } = step;
  const tempo = change((step.keys[from] ?? step.keys.at(-1))?.tempo ?? ladder.tempo);
  if (tempo < LIVE_TEMPO.least || tempo > LIVE_TEMPO.most) return state;
  return withStep(state, {
    isHalf,
    ladder: { ...ladder, tempo: change(ladder.tempo) },
    keys: step.keys.map((key, index) => (index < from ? key : keyAt(key, change(key.tempo), ladder))),
  });
}

/**
 * The ladder slower or faster from the next key on, or from the first where it has not begun; the way home as well.
 *
 * @param by beats per minute
 * @returns the same state for a step that has no tempo, or where it would be too slow or too fast to sing
 */
export function atTempo(state: RunState, by: number): RunState {
  return withTempos(state, (tempo) => tempo + by, currentStep(state)?.isHalf ?? false);
}

/** Half the tempo from the next key on, to learn a tune; once more, and it is whole again. */
export function atHalfTempo(state: RunState): RunState {
  const isHalf = currentStep(state)?.isHalf ?? false;
  return withTempos(state, (tempo) => (isHalf ? tempo * 2 : tempo / 2), !isHalf);
}

/** The step sung on one vowel from here on; `null` on what was planned. */
export function onVowel(state: RunState, vowel: string | null): RunState {
  return withStep(state, { vowel });
}

/** A key that was left, changed for each who sang it. */
function withLeft(state: RunState, keyId: string, change: (marks: readonly Mark[]) => readonly Mark[]): RunState {
  const changed = (key: SungKey): SungKey => (key.id === keyId ? { ...key, marks: change(key.marks) } : key);
  const { sung, fellowsSung } = state;
  return {
    ...state,
    sung: sung.map(changed),
    ...(fellowsSung && { fellowsSung: fellowsSung.map(({ singer, key }) => ({ singer, key: changed(key) })) }),
  };
}

/** A mark on a key that was left already, taken back. */
export function withoutMark(state: RunState, keyId: string, mark: Mark): RunState {
  return withLeft(state, keyId, (marks) => marks.filter((other) => other !== mark));
}

/** A mark that came to a key after it was left; once is enough. */
export function withMark(state: RunState, keyId: string, mark: Mark): RunState {
  return withLeft(state, keyId, (marks) => (marks.includes(mark) ? marks : [...marks, mark]));
}

/** Another key of the step that is on, at once; what was planned between is not entered. */
export function toKey(state: RunState, index: number): RunState {
  const isThere = currentStep(state)?.keys[index] !== undefined;
  return isThere ? { ...state, keyIndex: index, turn: 0, begun: true, marks: [], phase: 'singing' } : state;
}
