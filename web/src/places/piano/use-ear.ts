import {
  endOf,
  evennessOf,
  marksHeard,
  onsetOf,
  scoreRung,
  vibratoOf,
  type HeardMark,
  type PitchFrame,
  type RungScore,
  type Vibrato,
  type WantedNote,
} from '@soft-lark/core';
import { useEffect, useEffectEvent, useRef, useState, type RefObject } from 'react';
import { pageSeconds } from '../../listening/ear.ts';
import type { OpenEar } from './use-open-ear.ts';
import type { Running } from './use-run.ts';

/** What was heard of a key that is over. */
export interface HeardKey {
  readonly id: string;
  /** How many keys had been sung before it. */
  readonly sungBefore: number;
  readonly tonic: number;
  readonly score: RungScore;
  /** What the teacher may keep of it. */
  readonly marks: readonly HeardMark[];
  /** Of its last note: how it swings, how it began in milliseconds, how evenly it flowed 0–1. */
  readonly vibrato: Vibrato | 'straight' | null;
  readonly onset: number | null;
  readonly evenness: number | null;
}

export interface Listening {
  readonly state: OpenEar['state'];
  /** What came in of the key that is on; seconds from the start of its tune. */
  readonly frames: RefObject<readonly PitchFrame[]>;
  /** The notes of that key that are over. */
  readonly now: RungScore | null;
  readonly heard: HeardKey | null;
}

/** The key that is listened to. */
interface KeyToHear {
  readonly wanted: readonly WantedNote[];
  readonly tonic: number;
  readonly sungBefore: number;
  /** Seconds from its start to the start of its tune. */
  readonly cueSeconds: number;
}

interface EarInput {
  readonly open: OpenEar;
  readonly going: Running['going'];
  /** Null where nobody listens. */
  readonly key: KeyToHear | null;
  /** What a crack is here: something to tell, or welcome. */
  readonly tellsCracks: boolean;
  /** A key was sung to its end, and proposes no mark. */
  readonly onSung: () => void;
}

const LOOK_EVERY_MS = 100;
/** A verdict comes with the end of a note, not before. */
const QUIET_SECONDS = 0.3;
/** Sung a little before the beat is sung all the same. */
const EARLY_SECONDS = 0.3;

interface Tune extends KeyToHear {
  readonly id: string;
  /** Page time of the start of the tune. */
  readonly startsAt: number;
  readonly isOver: boolean;
}

function heardOf(tune: Tune, frames: readonly PitchFrame[], score: RungScore, marks: readonly HeardMark[]): HeardKey {
  const { id, wanted, tonic, sungBefore } = tune;
  const last = wanted.at(-1);
  const from = (last?.startSeconds ?? 0) + score.lagSeconds;
  const held = frames.filter(({ t }) => t >= from && t < from + (last?.seconds ?? 0));
  return {
    id,
    tonic,
    sungBefore,
    score,
    marks,
    vibrato: vibratoOf(held),
    onset: onsetOf(frames.filter(({ t }) => t >= score.lagSeconds)),
    evenness: evennessOf(held),
  };
}

/** Listens to the keys of a run as they are sung, and says what was heard; nothing of it is kept but what the teacher marks. */
export function useEar({ open, going, key, tellsCracks, onSung }: EarInput): Listening {
  const { state, ear, onFrames } = open;
  const [now, setNow] = useState<{ readonly id: string; readonly score: RungScore } | null>(null);
  const [heard, setHeard] = useState<HeardKey | null>(null);
  const tune = useRef<Tune | null>(null);
  const frames = useRef<readonly PitchFrame[]>([]);
  const id = going && key ? going.id : null;

  const begin = useEffectEvent(() => {
    frames.current = [];
    const startsIn = key && going ? key.cueSeconds - going.elapsed : 0;
    tune.current = key && going ? { ...key, id: going.id, startsAt: pageSeconds() + startsIn, isOver: false } : null;
    ear.current?.sing(key?.wanted ?? [], startsIn);
  });
  const conclude = useEffectEvent((of: Tune, isLeft: boolean) => {
    tune.current = { ...of, isOver: true };
    const score = scoreRung(frames.current, of.wanted);
    // A key that is left before its end was not cut short by the singer.
    const marks = marksHeard(score).filter(
      (mark) => (mark !== 'crack' || tellsCracks) && (mark !== 'breath' || !isLeft),
    );
    if (score.notes.every(({ is }) => is === 'missing')) return;
    setHeard(heardOf(of, frames.current, score, marks));
    if (!isLeft && marks.length === 0) onSung();
  });
  const look = useEffectEvent(() => {
    const of = tune.current;
    if (!of || of.isOver) return;
    const at = pageSeconds() - of.startsAt;
    const score = scoreRung(frames.current, of.wanted);
    const notes = score.notes.filter((_, index) => endOf(of.wanted[index]) + score.lagSeconds <= at);
    const isNews = now?.id !== of.id || notes.some(({ is }, index) => is !== now.score.notes[index]?.is);
    if (isNews) setNow({ id: of.id, score: { ...score, notes } });
    if (at > endOf(of.wanted.at(-1)) + score.lagSeconds + QUIET_SECONDS) conclude(of, false);
  });
  const leave = useEffectEvent(() => {
    const of = tune.current;
    if (of && !of.isOver) conclude(of, true);
    tune.current = null;
    ear.current?.sing([], 0);
  });
  useEffect(() => {
    if (state !== 'on' || id === null) return undefined;
    begin();
    const deaf = onFrames((came) => {
      const startsAt = tune.current?.startsAt ?? Infinity;
      const ofKey = came.map((frame) => ({ ...frame, t: frame.t - startsAt })).filter(({ t }) => t >= -EARLY_SECONDS);
      frames.current = [...frames.current, ...ofKey];
    });
    const timer = setInterval(() => {
      look();
    }, LOOK_EVERY_MS);
    return () => {
      clearInterval(timer);
      deaf();
      leave();
    };
  }, [state, id, onFrames]);

  return {
    state,
    frames,
    now: now !== null && now.id === id ? now.score : null,
    heard: state === 'off' ? null : heard,
  };
}
