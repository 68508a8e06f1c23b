import { goHome, turnBack, type Ladder } from '../ladder/index.ts';
import { isMissed } from '../past/index.ts';
import { keyWays } from '../routine/index.ts';
import { endPart, resultOf } from '../still/index.ts';
import { enter } from './enter-key.ts';
import { turnsIn } from './fellows.ts';
import { moreHelp } from './help-after.ts';
import { atHalfTempo, atTempo, onVowel, toKey, withMark, withoutMark } from './live-changes.ts';
import { canGoHome, canTurnBack, currentKey, currentStep, fewMore, firstToCome, otherWay } from './run-queries.ts';
import { runKeysOf } from './run-plan.ts';
import { effort, goneOn, mark, markedSinger, takenBack } from './stops.ts';
import type { RunAction, RunKey, RunState, RunStep } from './run.types.ts';

function toStep(state: RunState, stepIndex: number): RunState {
  // Where nothing was planned, the teacher says what comes next and when it is over.
  const isOver = stepIndex >= state.steps.length && !state.isOpen;
  return {
    ...state,
    stepIndex,
    keyIndex: 0,
    turn: 0,
    marks: [],
    begun: false,
    turned: false,
    phase: isOver ? 'finished' : 'singing',
  };
}

/** Keys of the step being worked on, changed. */
function withKeys(state: RunState, change: (key: RunKey, index: number) => RunKey): RunState {
  const steps = state.steps.map((step, index) =>
    index === state.stepIndex ? { ...step, keys: step.keys.map(change) } : step,
  );
  return { ...state, steps };
}

/** After a missed key help comes back for one; where several sing, for all of them. */
function helped(state: RunState): RunState {
  const { sung, fellowsSung = [] } = state;
  const lastOf = new Map(fellowsSung.map(({ singer, key }) => [singer, key]));
  if (![...sung.slice(-1), ...lastOf.values()].some(isMissed)) return state;
  return withKeys(state, (key, index) =>
    index === state.keyIndex && key.help ? { ...key, help: moreHelp(key.help) } : key,
  );
}

/** Whether what comes next is a second time that waits for an easy first one, and the first was not. */
function isSecondTimeOff({ steps, stepIndex, keyIndex, sung, fellowsSung = [] }: RunState): boolean {
  const step = steps[stepIndex];
  const [now, next] = [step?.keys[keyIndex], step?.keys[keyIndex + 1]];
  if (!step?.ladder?.again?.ifEasy || next?.pass !== 2 || now?.pass === 2) return false;
  const all = [...sung, ...fellowsSung.map(({ key }) => key)];
  return all.some((key) => key.stepId === step.stepId && isMissed(key));
}

function advance(state: RunState): RunState {
  const step = currentStep(state);
  const key = currentKey(state);
  const turn = (state.turn ?? 0) + 1;
  if (step && key && turn < turnsIn(step, key)) return { ...state, turn, phase: 'singing' };
  const hasMore = step !== undefined && state.keyIndex + 1 < step.keys.length && !isSecondTimeOff(state);
  return hasMore
    ? helped({ ...state, keyIndex: state.keyIndex + 1, turn: 0, phase: 'singing' })
    : toStep(state, state.stepIndex + 1);
}

/** Replaces what is left of a ladder after the key being sung; `turned` where it does not go out any more. */
function replan(state: RunState, rest: Ladder, turned = true): RunState {
  const steps = state.steps.map((step, index) => {
    if (index !== state.stepIndex) return step;
    const ways = keyWays(rest.rungs, step.manners ?? [], false);
    return { ...step, keys: [...step.keys.slice(0, state.keyIndex + 1), ...runKeysOf(rest, ways)] };
  });
  return { ...state, steps, turned };
}

/** Sings the rest instead of what was planned, the key being sung kept. */
function goOnWith(state: RunState, rest: Ladder, id: string, turned = true): RunState {
  return advance(enter(replan(state, rest, turned), id, 'sung'));
}

function swap(state: RunState, step: RunStep): RunState {
  const steps = state.steps.map((other, index) => (index === state.stepIndex ? step : other));
  return { ...state, steps, keyIndex: 0, turn: 0, marks: [], begun: false, turned: false, phase: 'singing' };
}

/** A step that nobody planned: after the one that is on, at once where there is none. */
function added(state: RunState, step: RunStep): RunState {
  const at = state.stepIndex + (currentStep(state) ? 1 : 0);
  const steps = [...state.steps.slice(0, at), step, ...state.steps.slice(at)];
  return { ...state, steps };
}

/** The key being left: kept where it was sounding, or held by a stop. */
function left(state: RunState, { heard, id }: Extract<RunAction, { heard: boolean }>): RunState {
  if (state.phase === 'stopped') return goneOn(state);
  return heard ? enter(state, id, 'sung') : state;
}

/** What became of a step without pitch, written down as it is left. */
function withResult(state: RunState, elapsed = 0): RunState {
  const step = currentStep(state);
  if (!step?.course) return state;
  const { stepId, exerciseId, course } = step;
  const result = { stepId, exerciseId, ...resultOf(course, state.begun ? elapsed : null) };
  return { ...state, results: [...(state.results ?? []).filter((other) => other.stepId !== stepId), result] };
}

/** The part that is on is over; the next begins. */
function partEnded(state: RunState, elapsed: number): RunState {
  const step = currentStep(state);
  if (!step?.course || !state.begun) return state;
  const course = endPart(step.course, elapsed);
  const ended = { ...step, course, seconds: step.seconds - (step.course.seconds - course.seconds) };
  return { ...state, steps: state.steps.map((other) => (other === step ? ended : other)) };
}

/** Blocks before the step that has not begun. */
function withRepairs(state: RunState, blocks: readonly RunStep[]): RunState {
  if (state.begun) return state;
  const { steps, stepIndex } = state;
  return { ...state, isReadyAsked: true, steps: [...steps.slice(0, stepIndex), ...blocks, ...steps.slice(stepIndex)] };
}

/**
 * What a run becomes by one act of the teacher. A step begins with its first `next`, after it was explained; from then on
 * a key that is left counts as sung, and a skipped one is kept as left out.
 *
 * @returns the same state where the act has no meaning, so that a second tap does no harm
 */
export function conduct(state: RunState, action: RunAction): RunState {
  if (state.phase === 'finished') return state;
  const ladder = currentStep(state)?.ladder;
  const key = currentKey(state);
  switch (action.type) {
    case 'pause':
      return state.phase === 'singing' ? { ...state, phase: 'paused' } : state;
    case 'resume':
      return state.phase === 'paused' ? { ...state, phase: 'singing' } : state;
    case 'mark':
      return mark(state, action);
    case 'mark-singer':
      return markedSinger(state, action.singer);
    case 'effort':
      return effort(state, action);
    case 'help':
      return withKeys(state, (key, index) =>
        index >= state.keyIndex && key.help ? { ...key, help: action.help } : key,
      );
    case 'swap':
      return swap(left(state, action), action.step);
    case 'add-step':
      return added(state, action.step);
    case 'unmark':
      return withoutMark(state, action.keyId, action.mark);
    case 'mark-left':
      return withMark(state, action.keyId, action.mark);
    case 'mistake':
      return state.phase === 'stopped' ? takenBack(state) : state;
    case 'refit':
      return { ...state, steps: [...state.steps.slice(0, firstToCome(state)), ...action.steps] };
    case 'ready':
      return withRepairs(state, action.steps);
    case 'next':
      return state.begun
        ? advance(enter(withResult(state, action.elapsed), action.id, 'sung'))
        : { ...state, begun: true };
    case 'end-part':
      return partEnded(state, action.elapsed);
    case 'skip':
      return advance(enter(state, action.id, 'skipped'));
    case 'again':
      return { ...(state.begun ? enter(state, action.id, 'sung') : state), begun: true, phase: 'singing' };
    case 'turn-back':
      return ladder && key && canTurnBack(state) ? goOnWith(state, turnBack(ladder, key.tonic), action.id) : state;
    case 'home':
      return ladder && canGoHome(state) ? goOnWith(state, goHome(ladder), action.id) : state;
    case 'then-home': {
      const found = fewMore(state, action.more, action.seconds);
      return found?.canBe ? goOnWith(state, found.ladder, action.id, false) : state;
    }
    case 'other-way': {
      const rest = otherWay(state, action.seconds);
      return rest ? goOnWith(state, rest, action.id, false) : state;
    }
    case 'tempo':
      return atTempo(state, action.by);
    case 'half-tempo':
      return atHalfTempo(state);
    case 'vowel':
      return onVowel(state, action.vowel);
    case 'to-key':
      return state.phase === 'stopped'
        ? state
        : toKey(action.heard ? enter(state, action.id, 'sung') : state, action.index);
    case 'previous-step':
      return state.stepIndex === 0
        ? state
        : toStep(withResult(left(state, action), action.elapsed), state.stepIndex - 1);
    case 'next-step':
      return toStep(withResult(left(state, action), action.elapsed), state.stepIndex + 1);
    case 'finish':
      return { ...withResult(left(state, action), action.elapsed), phase: 'finished' };
  }
}
