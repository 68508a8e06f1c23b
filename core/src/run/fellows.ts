import { zoneSounded } from '../ladder/index.ts';
import type { LaidStep } from '../routine/index.ts';
import { neverSounded, type VoiceFile } from '../voice/index.ts';
import { passesOf } from './run-plan.ts';
import type { Fellow, RunKey, RunState, RunStep } from './run.types.ts';

/** One who sings along, and the steps of the routine as they are laid for this voice today. */
export interface Joining {
  readonly id: string;
  readonly voice: VoiceFile;
  readonly steps: readonly LaidStep[];
}

/** Nearest first, so that of equals the first found is the one wanted. */
const OCTAVES = [0, -12, 12, -24, 24] as const;
const ANY_PITCH = { floor: 0, ceiling: 127 } as const;

/**
 * A key of a step as another of its singers has it, at that one’s octave.
 *
 * @param key one of the step’s own
 * @returns `null` where it is over the top of that voice today, under its floor, or sounds what it is to be spared
 */
export function fellowKey(step: RunStep, key: RunKey, fellow: Fellow): RunKey | null {
  const pattern = step.ladder?.pattern;
  if (!pattern) return fellow.passes?.[step.keys.indexOf(key)] ?? null;
  const moved = {
    ...key,
    tonic: key.tonic + fellow.octave,
    low: key.low + fellow.octave,
    high: key.high + fellow.octave,
  };
  const isInside = moved.low >= fellow.floor && moved.high <= fellow.ceiling;
  return isInside && !zoneSounded(pattern, moved.tonic, fellow.avoid) ? moved : null;
}

/** Those who sing a key besides who leads; the others rest in it. */
export function fellowsIn(step: RunStep, key: RunKey): readonly Fellow[] {
  return (step.fellows ?? []).filter((fellow) => fellowKey(step, key, fellow) !== null);
}

/** At the octave with most keys; of equals the nearest. */
function atBestOctave(step: RunStep, fellow: Fellow): Fellow | null {
  let best: { readonly fellow: Fellow; readonly keys: number } | null = null;
  for (const octave of OCTAVES) {
    const there = { ...fellow, octave };
    const keys = step.keys.filter((key) => fellowKey(step, key, there) !== null).length;
    if (keys > (best?.keys ?? 0)) best = { fellow: there, keys };
  }
  return best?.fellow ?? null;
}

/** How one sings along in a step; `null` where the day, a caution or the height of its keys leaves it out. */
function fellowOf(step: RunStep, { id, voice, steps }: Joining): Fellow | null {
  const own = steps.find((laid) => laid.id === step.stepId);
  if (!own) return null;
  const { laid, limits, problem } = own;
  const avoid = [...neverSounded(voice), ...(voice.gaps ?? [])];
  // A pattern that is too wide for a whole ladder may fit in some of the keys.
  if (problem && (!limits || limits.conflict)) return null;
  const { floor, ceiling } = limits ?? ANY_PITCH;
  const fellow = { id, octave: 0, floor, ceiling, avoid };
  if (step.keys.length === 0) return fellow;
  if (!step.ladder) return laid?.kind === 'siren' ? { ...fellow, passes: passesOf(laid.siren) } : null;
  return atBestOctave(step, fellow);
}

/** The time a step takes where each of its keys is sung by one after the other. */
function secondsInTurn(step: RunStep): number {
  return step.keys.reduce((sum, key) => sum + key.seconds * fellowsIn(step, key).length, step.seconds);
}

/**
 * A run in which others sing along: each at the octave with most of the leader’s keys, and resting where a key is not
 * theirs. The leader’s ladder stays what it is.
 *
 * @param isInTurn each key is sung by one after the other instead of together; steps take as much longer
 */
export function withFellows(state: RunState, joining: readonly Joining[], isInTurn: boolean): RunState {
  const steps = state.steps.map((plain): RunStep => {
    const fellows = joining.flatMap((one) => fellowOf(plain, one) ?? []);
    const step = { ...plain, fellows };
    return isInTurn && step.keys.length > 0 ? { ...step, isInTurn, seconds: secondsInTurn(step) } : step;
  });
  return { ...state, steps };
}

/** A step that was laid anew, sung by those who sang it before. */
export function sungAsBefore(step: RunStep, before: RunStep | undefined): RunStep {
  if (!before?.fellows) return step;
  const shared = { ...step, fellows: before.fellows };
  return before.isInTurn ? { ...shared, isInTurn: true, seconds: secondsInTurn(shared) } : shared;
}

/** How often a key is sung before the ladder goes on, and so how much longer it takes. */
export function turnsIn(step: RunStep, key: RunKey): number {
  return step.isInTurn ? 1 + fellowsIn(step, key).length : 1;
}

/** Who sings the key that is on, where its singers take turns; nothing while it is who leads, or all sing. */
export function fellowNow({ steps, stepIndex, keyIndex, turn = 0 }: RunState): Fellow | undefined {
  const step = steps[stepIndex];
  const key = step?.keys[keyIndex];
  return step?.isInTurn && key && turn > 0 ? fellowsIn(step, key)[turn - 1] : undefined;
}

/** What is sung now: the key that is on, at the octave of who has the turn. */
export function keySungNow(state: RunState): RunKey | undefined {
  const step = state.steps[state.stepIndex];
  const key = step?.keys[state.keyIndex];
  const fellow = fellowNow(state);
  return step && key && fellow ? (fellowKey(step, key, fellow) ?? key) : key;
}

/** Who leads, where a mark is for one of several. */
export const LEADER = 'leader';

/** Who sings at this moment; nobody is named in a run of one. */
function singingNow(state: RunState): readonly string[] {
  const step = state.steps[state.stepIndex];
  if (!step?.fellows) return [];
  if (step.isInTurn) return [fellowNow(state)?.id ?? LEADER];
  const key = step.keys[state.keyIndex];
  return [LEADER, ...(key ? fellowsIn(step, key) : step.fellows).map(({ id }) => id)];
}

/** Whom a mark is for: who has the turn, or who was chosen as long as that one sings, else all who sing. */
export function singersMeant(state: RunState): readonly string[] {
  const singing = singingNow(state);
  const chosen = singing.filter((id) => id === state.markedSinger);
  return chosen.length > 0 ? chosen : singing;
}
