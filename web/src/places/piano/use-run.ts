import {
  currentKey,
  currentStep,
  secondsForStep,
  glideSound,
  keyParts,
  LONGEST_HOLD_SECONDS,
  momentOf,
  neverSounded,
  type Help,
  type KeyPart,
  type RunAction,
  type RunKey,
  type RunStep,
} from '@soft-lark/core';
import { useCallback, useEffect, useEffectEvent, useMemo, useState } from 'react';
import { v7 } from 'uuid';
import type { Student } from '../../api/students.queries.ts';
import { loadPiano, playPiano, stopPiano, wakePiano } from '../../sound/piano.ts';
import { pitchesOf } from './run-plan.ts';
import { useRunClock } from '../../runs/run-clock.ts';
import { actOnRun, type KeptRun } from '../../runs/run-store.ts';

type Act = Exclude<
  RunAction['type'],
  'mark' | 'effort' | 'swap' | 'help' | 'then-home' | 'refit' | 'ready' | 'mistake' | 'end-part'
>;

export interface Running {
  readonly act: (type: Act) => void;
  /** Who sounds from here to the end of the step. */
  readonly help: (help: Help) => void;
  readonly mark: (mark: Extract<RunAction, { type: 'mark' }>['mark']) => void;
  /** Effort of ten, as the singer or the teacher feels it. */
  readonly effort: (level: number) => void;
  /** Takes back a stop that was pressed by mistake. */
  readonly mistake: () => void;
  /** Goes on with another step in place of the one that was stopped. */
  readonly swap: (step: RunStep) => void;
  /** Seconds since the key being sung, or the step without keys, began; stands still in a pause. */
  readonly elapsed: number;
  /** Seconds left for the step after the key being sung, talk so far counted. */
  readonly room: number;
  /** So many keys more, then home. */
  readonly thenHome: (more: number) => void;
  /** Goes on with what is left, fitted to another time. */
  readonly refit: (steps: readonly RunStep[]) => void;
  /** The questions before the cool-down are answered; these blocks come first. */
  readonly mend: (blocks: readonly RunStep[]) => void;
  /** A note is being held; the next tap lets it go. */
  readonly isHeld: boolean;
  /** A breath lasts as long as it can; the next tap says that it is over. */
  readonly isLasting: boolean;
}

function partsOf(step: RunStep, key: RunKey, voice: Student['voice']): readonly KeyPart[] {
  if (!step.ladder) return [{ events: glideSound(key.tonic, key.low, key.high) }];
  const { pattern, cueBeats = 4 } = step.ladder;
  const { tonic, tempo, help = 'together' } = key;
  return keyParts({ pattern, tonic, tempo, cueBeats, help, avoid: neverSounded(voice) });
}

function actionOf(type: Act, heard: boolean, elapsed: number): RunAction {
  if (type === 'pause' || type === 'resume') return { type };
  if (type === 'next-step' || type === 'finish') return { type, id: v7(), heard, elapsed };
  return type === 'next' ? { type, id: v7(), elapsed } : { type, id: v7() };
}

/** Conducts a run: acts are kept first, then heard. */
export function useRun(run: KeptRun, student: Student): Running {
  const { state } = run;
  const step = currentStep(state);
  const key = currentKey(state);
  const moment = `${String(state.stepIndex)}/${String(state.keyIndex)}/${String(state.sung.length)}/${String(state.begun)}`;
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
  const parts = useMemo(() => (step && key ? partsOf(step, key, student.voice) : []), [step, key, student.voice]);
  const holdsAt = parts[part]?.holdsAtSeconds ?? Infinity;
  const heldFor = elapsed - at - holdsAt;
  const isHeld = isGoing && heldFor >= 0;
  const release = useCallback(() => {
    setLetGo({ moment, part: part + 1, at: elapsed });
  }, [moment, part, elapsed]);
  if (isHeld && heldFor >= LONGEST_HOLD_SECONDS) release();

  // Each key is played when it comes, and again after a pause.
  const sound = useEffectEvent(() => {
    const now = parts[part];
    if (now) playPiano(now.events);
  });
  useEffect(() => {
    if (isGoing) sound();
    else stopPiano();
  }, [moment, part, isGoing]);

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
  const mark = useCallback<Running['mark']>(
    (name) => {
      actOnRun(run.id, { type: 'mark', mark: name, id: v7() }, new Date());
    },
    [run.id],
  );
  const help = useCallback<Running['help']>(
    (wanted) => {
      actOnRun(run.id, { type: 'help', help: wanted }, new Date());
    },
    [run.id],
  );
  const mistake = useCallback(() => {
    actOnRun(run.id, { type: 'mistake' }, new Date());
  }, [run.id]);
  const effort = useCallback<Running['effort']>(
    (level) => {
      actOnRun(run.id, { type: 'effort', level, id: v7() }, new Date());
    },
    [run.id],
  );
  const refit = useCallback<Running['refit']>(
    (steps) => {
      actOnRun(run.id, { type: 'refit', steps }, new Date());
    },
    [run.id],
  );
  const mend = useCallback<Running['mend']>(
    (blocks) => {
      void loadPiano(pitchesOf({ ...run.state, steps: blocks }));
      actOnRun(run.id, { type: 'ready', steps: blocks }, new Date());
    },
    [run.id, run.state],
  );
  const thenHome = useCallback<Running['thenHome']>(
    (more) => {
      actOnRun(run.id, { type: 'then-home', more, seconds: room, id: v7() }, new Date());
    },
    [run.id, room],
  );
  const swap = useCallback<Running['swap']>(
    (other) => {
      void loadPiano(pitchesOf({ ...run.state, steps: [other] }));
      actOnRun(run.id, { type: 'swap', step: other }, new Date());
    },
    [run.id, run.state],
  );
  return { act, mark, mistake, help, effort, swap, elapsed, isHeld, isLasting, room, thenHome, refit, mend };
}
