import { fewMoreThenHome, type FewMore, type Ladder } from '../ladder/index.ts';
import { turnsIn } from './fellows.ts';
import type { RunKey, RunState, RunStep } from './run.types.ts';

/** The step being worked on, if the run is not over. */
export function currentStep(state: RunState): RunStep | undefined {
  return state.steps[state.stepIndex];
}

/** Index of the first step that has not begun. */
export function firstToCome({ stepIndex, begun }: RunState): number {
  return begun ? stepIndex + 1 : stepIndex;
}

/** The key being sung, if the step has keys. */
export function currentKey(state: RunState): RunKey | undefined {
  return currentStep(state)?.keys[state.keyIndex];
}

/** Whether the way home can still be taken: a ladder that is away from its start and not on its way there. */
export function canTurnBack(state: RunState): boolean {
  const key = currentKey(state);
  const start = currentStep(state)?.ladder?.start;
  return (
    state.begun &&
    key !== undefined &&
    start !== undefined &&
    key.leg !== 'home' &&
    key.tonic !== start &&
    !state.turned
  );
}

/** Whether the start key can be sung next as the last. */
export function canGoHome(state: RunState): boolean {
  const key = currentKey(state);
  const start = currentStep(state)?.ladder?.start;
  return state.begun && key !== undefined && start !== undefined && key.tonic !== start;
}

/**
 * So many keys further the way the ladder goes, then home, or why that cannot be.
 *
 * @param seconds left for what comes after the key being sung
 * @returns nothing where the ladder is on its way home already, or the step has none
 */
export function fewMore(state: RunState, more: number, seconds: number): FewMore | undefined {
  const step = currentStep(state);
  const key = currentKey(state);
  if (!step?.ladder || !key || !state.begun || key.leg !== step.keys[0]?.leg) return undefined;
  const alone = seconds / turnsIn(step, key);
  return fewMoreThenHome(step.ladder, key.tonic, key.leg === 'down' ? -1 : 1, more, alone);
}

/**
 * The ladder the other way instead, before it has left its start: down where it was to go up, as far as the limits, the keys
 * that were planned and the time let it, then home.
 *
 * @param seconds left for what comes after the key being sung
 * @returns nothing where it has left its start, or there is no room on the other side
 */
export function otherWay(state: RunState, seconds: number): Ladder | undefined {
  const step = currentStep(state);
  const key = currentKey(state);
  if (!step?.ladder || !key || !state.begun || state.turned) return undefined;
  const { ladder, keys } = step;
  if (key.leg === 'home' || key.tonic !== ladder.start || keys[0]?.leg !== key.leg) return undefined;
  const planned = keys.slice(state.keyIndex).filter(({ leg, tonic }) => leg === key.leg && tonic !== key.tonic);
  const alone = seconds / turnsIn(step, key);
  for (let more = new Set(planned.map(({ tonic }) => tonic)).size; more > 0; more -= 1) {
    const found = fewMoreThenHome(ladder, key.tonic, key.leg === 'down' ? 1 : -1, more, alone);
    if (found.canBe && found.ladder.rungs.some(({ leg }) => leg !== 'home')) return found.ladder;
  }
  return undefined;
}

/**
 * Which key of the ladder a note at a keyboard means: the one of that tonic, else of its name in another octave; of two the
 * one that comes before one that was sung.
 *
 * @returns its index; `null` where the ladder has no such key, or the step no ladder
 */
export function keyPlayed(state: RunState, midi: number): number | null {
  const step = currentStep(state);
  if (!step?.ladder) return null;
  const at = state.begun ? state.keyIndex : 0;
  const keys = step.keys.map(({ tonic }, index) => ({ tonic, index }));
  const inOrder = [...keys.slice(at), ...keys.slice(0, at).reverse()];
  const meant = inOrder.find(({ tonic }) => tonic === midi) ?? inOrder.find(({ tonic }) => (tonic - midi) % 12 === 0);
  return meant?.index ?? null;
}
