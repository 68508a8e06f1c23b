import {
  HEARD_BREATH,
  hearBreath,
  type HeardBreath,
  type PitchFrame,
  type StillCourse,
  type StillPart,
} from '@soft-lark/core';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { pageSeconds } from '../../listening/ear.ts';
import type { OpenEar } from './use-open-ear.ts';
import type { Running } from './use-run.ts';

/** A breath out that is over: its round, what it was to be, and what was heard of it. */
export interface BreathByEar extends HeardBreath {
  readonly round: number;
  /** Counts it was to last; none where it lasts as long as it can. */
  readonly counts?: number;
}

interface BreathEarInput {
  readonly open: OpenEar;
  readonly going: Running['going'];
  /** The step of breath that is on; null where none is, or nobody listens. */
  readonly course: StillCourse | null;
}

interface Heard {
  readonly id: string;
  readonly breaths: readonly BreathByEar[];
}

const LOOK_EVERY_MS = 200;
/** The room is heard for so long before a breath. Seconds. */
const BEFORE = 2;

const isOut = ({ act }: StillPart): boolean => act === 'out' || act === 'longest';

/** What was heard of a part, if anything; frames with times of the step. */
function heardIn(part: StillPart, frames: readonly PitchFrame[]): readonly BreathByEar[] {
  const { startsAt, seconds, round, counts } = part;
  const ofPart = frames.map((frame) => ({ ...frame, t: frame.t - startsAt })).filter(({ t }) => t >= -BEFORE);
  const heard = hearBreath(ofPart, { seconds, countSeconds: counts === undefined ? null : seconds / counts });
  return heard ? [{ ...heard, round, ...(counts !== undefined && { counts }) }] : [];
}

/** Listens to the breaths out of a step of breath: how long each was, and how it arrived. Nothing of it is kept. */
export function useBreathEar({ open, going, course }: BreathEarInput): readonly BreathByEar[] {
  const { state, ear, onFrames } = open;
  const [heard, setHeard] = useState<Heard | null>(null);
  const frames = useRef<readonly PitchFrame[]>([]);
  /** Parts that were asked for, or are done with, by their start. */
  const step = useRef({ startsAt: 0, told: 0, done: 0 });
  const id = going && course ? going.id : null;

  const look = useEffectEvent((of: string) => {
    const at = pageSeconds() - step.current.startsAt;
    const outs = course?.parts.filter(isOut) ?? [];
    const [next] = outs.slice(step.current.told);
    if (next && next.startsAt <= at) {
      step.current.told += 1;
      ear.current?.breatheOut(next.seconds);
    }
    const [due] = outs.slice(step.current.done);
    if (!due || due.startsAt + due.seconds + HEARD_BREATH.lateSeconds > at) return;
    step.current.done += 1;
    const found = heardIn(due, frames.current);
    frames.current = frames.current.filter(({ t }) => t >= due.startsAt + due.seconds);
    if (found.length > 0)
      setHeard((before) => ({ id: of, breaths: [...(before?.id === of ? before.breaths : []), ...found] }));
  });
  const begin = useEffectEvent(() => {
    const elapsed = going?.elapsed ?? 0;
    const past = course?.parts.filter((part) => isOut(part) && part.startsAt < elapsed).length ?? 0;
    frames.current = [];
    step.current = { startsAt: pageSeconds() - elapsed, told: past, done: past };
  });
  useEffect(() => {
    if (state !== 'on' || id === null) return undefined;
    begin();
    const deaf = onFrames((came) => {
      const { startsAt } = step.current;
      frames.current = [...frames.current, ...came.map((frame) => ({ ...frame, t: frame.t - startsAt }))];
    });
    const timer = setInterval(() => {
      look(id);
    }, LOOK_EVERY_MS);
    return () => {
      clearInterval(timer);
      deaf();
    };
  }, [state, id, onFrames]);
  return state === 'on' && heard !== null && heard.id === id ? heard.breaths : [];
}
