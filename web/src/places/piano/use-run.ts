import {
  canTurnBack,
  currentStep,
  keySungNow,
  secondsForStep,
  LONGEST_HOLD_SECONDS,
  momentOf,
  type KeyPart,
  type Mark,
  type RunAction,
  type RunKey,
  type RunState,
  type RunStep,
  type SoundEvent,
} from '@soft-lark/core';
import { useCallback, useEffect, useEffectEvent, useMemo, useState } from 'react';
import { v7 } from 'uuid';
import { loadPiano, stopPiano, wakePiano } from '../../sound/piano.ts';
import { pitchesOf } from './run-plan.ts';
import type { SoundElsewhere } from './use-far-side.ts';
import { usePlayOn } from './use-play-on.ts';
import { useRunClock } from '../../runs/run-clock.ts';
import { actOnRun, type KeptRun } from '../../runs/run-store.ts';

/** What sounds in a key, parted where a note waits; it stays the same while nothing of it changes. */
export type PartsOf = (step: RunStep, key: RunKey) => readonly KeyPart[];

/** Acts that a key or a tap alone says all of. */
type Act = Extract<
  RunAction['type'],
  'next' | 'again' | 'skip' | 'turn-back' | 'home' | 'next-step' | 'previous-step' | 'finish' | 'pause' | 'resume'
>;

export interface Running {
  readonly act: (type: Act) => void;
  /** What needs no name and no time of the key being sung: help, tempo, vowel, refit, taken back. */
  readonly does: (action: RunAction) => void;
  readonly mark: (mark: Mark) => void;
  /** Effort of ten, as the singer or the teacher feels it. */
  readonly effort: (level: number) => void;
  /** Goes on with another step in place of the one that is on or was stopped. */
  readonly swap: (step: RunStep) => void;
  /** A step that was not planned, next. */
  readonly add: (step: RunStep) => void;
  /** Seconds since the key being sung, or the step without keys, began; stands still in a pause. */
  readonly elapsed: number;
  /** Seconds left for the step after the key being sung, talk so far counted. */
  readonly room: number;
  /** So many keys more, then home. */
  readonly thenHome: (more: number) => void;
  /** Turns round; before the ladder has left its start it goes the other way instead. */
  readonly turn: () => void;
  /** Another key of the step, at once. */
  readonly toKey: (index: number) => void;
  /** The questions before the cool-down are answered; these blocks come first. */
  readonly mend: (blocks: readonly RunStep[]) => void;
  /** What goes on just now, by name, and how long it has; null before it begins and in a pause. */
  readonly going: { readonly id: string; readonly elapsed: number } | null;
  /** A note is being held; the next tap lets it go. */
  readonly isHeld: boolean;
  /** A breath lasts as long as it can; the next tap says that it is over. */
  readonly isLasting: boolean;
}

function actionOf(type: Act, heard: boolean, elapsed: number): RunAction {
  if (type === 'pause' || type === 'resume') return { type };
  if (type === 'next-step' || type === 'previous-step' || type === 'finish') return { type, id: v7(), heard, elapsed };
  return type === 'next' ? { type, id: v7(), elapsed } : { type, id: v7() };
}

const NOTHING: readonly SoundEvent[] = [];

/** Seconds from the start of a part of a key, or of a step without keys, to what comes next; null where it waits. */
function secondsToNext(
  step: RunStep | undefined,
  key: RunKey | undefined,
  parts: readonly KeyPart[],
  part: number,
): number | null {
  if (!key) return step?.course?.seconds ?? null;
  if (part < parts.length - 1) return null;
  const before = parts.slice(0, part).reduce((sum, { holdsAtSeconds = 0 }) => sum + holdsAtSeconds, 0);
  return key.seconds - before;
}

type NamedActs = Pick<Running, 'mark' | 'effort' | 'toKey' | 'mend' | 'swap' | 'add'>;

/** Acts that say more than a key or a tap; what comes in is loaded before it sounds. */
function useActs(state: RunState, heard: boolean, does: Running['does']): NamedActs {
  return useMemo(() => {
    const withSounds = (steps: readonly RunStep[], action: RunAction): void => {
      void loadPiano(pitchesOf({ ...state, steps }));
      does(action);
    };
    return {
      mark: (mark: Mark) => {
        does({ type: 'mark', mark, id: v7() });
      },
      effort: (level: number) => {
        does({ type: 'effort', level, id: v7() });
      },
      toKey: (index: number) => {
        void wakePiano();
        does({ type: 'to-key', index, id: v7(), heard });
      },
      mend: (steps: readonly RunStep[]) => {
        withSounds(steps, { type: 'ready', steps });
      },
      swap: (other: RunStep) => {
        withSounds([other], { type: 'swap', step: other, id: v7(), heard });
      },
      add: (added: RunStep) => {
        withSounds([added], { type: 'add-step', step: added });
      },
    };
  }, [does, state, heard]);
}

/**
 * Conducts a run: acts are kept first, then heard.
 *
 * @param partsOf what sounds in a key
 * @param playsOn whether keys follow one another by themselves; a step begins when the teacher says so
 * @param elsewhere where it sounds instead of here
 */
export function useRun(run: KeptRun, partsOf: PartsOf, playsOn: boolean, elsewhere?: SoundElsewhere): Running {
  const { state } = run;
  const step = currentStep(state);
  const key = keySungNow(state);
  const sungSoFar = state.sung.length + (state.fellowsSung?.length ?? 0);
  const moment = [state.stepIndex, state.keyIndex, state.turn ?? 0, sungSoFar, state.begun].join('/');
  const isGoing = state.phase === 'singing' && state.begun;
  const { elapsed, spent } = useRunClock(run.startedAt, moment, isGoing);
  const room = secondsForStep(state, spent, elapsed);

  const load = useEffectEvent(() => loadPiano(pitchesOf(run.state)));
  useEffect(() => {
    void load();
    return stopPiano;
  }, [run.id]);

  // A key is sung in parts where a note waits; `at` is when the part began.
  const [letGo, setLetGo] = useState({ moment, part: 0, at: 0 });
  const { part, at } = letGo.moment === moment ? letGo : { part: 0, at: 0 };
  const parts = useMemo(() => (step && key ? partsOf(step, key) : []), [step, key, partsOf]);
  const holdsAt = parts[part]?.holdsAtSeconds ?? Infinity;
  const heldFor = elapsed - at - holdsAt;
  const isHeld = isGoing && heldFor >= 0;
  const release = useCallback(() => {
    setLetGo({ moment, part: part + 1, at: elapsed });
  }, [moment, part, elapsed]);
  if (isHeld && heldFor >= LONGEST_HOLD_SECONDS) release();

  // Each key is played when it comes, and again after a pause.
  usePlayOn({
    moment: `${moment}/${String(part)}`,
    isGoing,
    events: parts[part]?.events ?? NOTHING,
    lasts: secondsToNext(step, key, parts, part),
    isOn: playsOn,
    elsewhere,
    goOn: () => {
      const inStep = step?.course?.seconds ?? elapsed;
      actOnRun(run.id, { type: 'next', id: v7(), elapsed: inStep }, new Date());
    },
  });

  const heard = state.begun && elapsed >= (key?.cueSeconds ?? 0);
  const isLasting = isGoing && step?.course !== undefined && momentOf(step.course, elapsed)?.part.act === 'longest';
  const act = useCallback(
    (type: Act) => {
      void wakePiano();
      if (type === 'next' && isHeld) release();
      else if (type === 'next' && isLasting) actOnRun(run.id, { type: 'end-part', elapsed }, new Date());
      else actOnRun(run.id, actionOf(type, heard, elapsed), new Date());
    },
    [run.id, heard, elapsed, isHeld, isLasting, release],
  );
  const does = useCallback(
    (action: RunAction) => {
      actOnRun(run.id, action, new Date());
    },
    [run.id],
  );
  const acts = useActs(state, heard, does);
  const thenHome = useCallback<Running['thenHome']>(
    (more) => {
      does({ type: 'then-home', more, seconds: room, id: v7() });
    },
    [does, room],
  );
  const turn = useCallback(() => {
    if (canTurnBack(state)) act('turn-back');
    else does({ type: 'other-way', seconds: room, id: v7() });
  }, [act, does, room, state]);
  const going = isGoing ? { id: moment, elapsed } : null;
  return { act, does, ...acts, thenHome, turn, elapsed, going, isHeld, isLasting, room };
}
