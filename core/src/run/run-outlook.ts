import { turnsIn } from './fellows.ts';
import { currentKey, currentStep } from './run-queries.ts';
import type { RunKey, RunState } from './run.types.ts';

/** How many keys are left to the next landmark; 0 where the key being sung is it. */
export interface Countdown {
  readonly to: 'turn' | 'home' | 'end';
  readonly keys: number;
}

/** Keys after the first of the list, repeats of one key counted once; every pass of a glide counts. */
function keysAfterFirst(keys: readonly RunKey[], isGlide: boolean): number {
  if (isGlide) return keys.length - 1;
  return keys.filter((key, index) => index > 0 && key.tonic !== keys[index - 1]?.tonic).length;
}

/** Index of the last key before the way home or down begins, or -1 where the travel never turns. */
function turnIndex(keys: readonly RunKey[]): number {
  const after = keys.findIndex((key, index) => index > 0 && key.leg !== keys[0]?.leg);
  return after - 1;
}

/**
 * Counts the keys to the turn, then to the end, as the teacher would say it: two more, last one. A ladder that comes twice
 * is counted each time by itself.
 *
 * @returns `null` for a step without keys
 */
export function countdownOf(state: RunState): Countdown | null {
  const step = currentStep(state);
  const all = step?.keys ?? [];
  const isGlide = step?.kind === 'siren';
  const now = currentKey(state);
  if (now === undefined) return null;
  const keys = all.filter(({ pass }) => pass === now.pass);
  const at = state.keyIndex - all.findIndex(({ pass }) => pass === now.pass);
  const turn = turnIndex(keys);
  if (turn >= at) return { to: 'turn', keys: keysAfterFirst(keys.slice(at, turn + 1), isGlide) };
  const to = keys.at(-1)?.leg === 'home' ? 'home' : 'end';
  return { to, keys: keysAfterFirst(keys.slice(at), isGlide) };
}

/** The key after this one in the same step, or the first of the next step that has any. */
export function nextKey(state: RunState): RunKey | undefined {
  return currentStep(state)?.keys[state.keyIndex + 1];
}

/**
 * Seconds left in the step being worked on, and in the run, by the plan as it stands: what it takes to explain a step is
 * in it until the step begins.
 */
export function secondsLeft(state: RunState): { readonly step: number; readonly run: number } {
  const step = currentStep(state);
  if (!step || state.phase === 'finished') return { step: 0, run: 0 };
  const inTurns = step.keys.slice(state.keyIndex).reduce((sum, key) => sum + key.seconds * turnsIn(step, key), 0);
  const keysLeft = inTurns - (state.turn ?? 0) * (currentKey(state)?.seconds ?? 0);
  const work = step.keys.length > 0 ? keysLeft : step.seconds - step.setUpSeconds;
  const inStep = work + (state.begun ? 0 : step.setUpSeconds);
  const later = state.steps.slice(state.stepIndex + 1).reduce((sum, { seconds }) => sum + seconds, 0);
  return { step: inStep, run: inStep + later };
}

/**
 * Seconds that are left for the step being worked on, after the key being sung: the plan’s whole time without what was
 * spent and what the later steps want.
 *
 * @param spent seconds since the run began, talk included
 * @param inKey seconds since the key being sung began
 */
export function secondsForStep(state: RunState, spent: number, inKey: number): number {
  const total = state.steps.reduce((sum, { seconds }) => sum + seconds, 0);
  const later = state.steps.slice(state.stepIndex + 1).reduce((sum, { seconds }) => sum + seconds, 0);
  const step = currentStep(state);
  const key = currentKey(state);
  const turns = step && key ? turnsIn(step, key) - (state.turn ?? 0) : 1;
  return total - spent - later - Math.max(0, (key?.seconds ?? 0) * turns - inKey);
}
