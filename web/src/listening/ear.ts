import { breatheOut, SINGERS, singTune, type PitchFrame, type SingerName, type WantedNote } from '@soft-lark/core';
import { startMicrophone } from './microphone.ts';

/** Who is listened to: a person, or a simulated singer. */
export type EarSource = 'microphone' | SingerName;

/** Somebody who is listened to while singing tunes. */
export interface Ear {
  /** A tune begins in so many seconds; nought of it ends what is sung. A person needs no telling. */
  readonly sing: (wanted: readonly WantedNote[], inSeconds: number) => void;
  /** A breath out begins now, so many seconds long. A person needs no telling. */
  readonly breatheOut: (seconds: number) => void;
  readonly stop: () => void;
}

type OnFrames = (frames: readonly PitchFrame[]) => void;

const TICK_MS = 33;

/** The page’s own clock, seconds. */
export function pageSeconds(): number {
  return performance.now() / 1000;
}

/** Frames with times of the page; those of a stream begin with the stream, and a busy page hears of some late. */
function onPageTime(onFrames: OnFrames): OnFrames {
  let began = Infinity;
  return (frames) => {
    began = Math.min(began, pageSeconds() - (frames.at(-1)?.t ?? 0));
    onFrames(frames.map((frame) => ({ ...frame, t: frame.t + began })));
  };
}

function openSimulated(name: SingerName, onFrames: OnFrames): Ear {
  let waiting: readonly PitchFrame[] = [];
  let sung = 0;
  const timer = setInterval(() => {
    const now = pageSeconds();
    const heard = waiting.filter(({ t }) => t <= now);
    waiting = waiting.slice(heard.length);
    if (heard.length > 0) onFrames(heard);
  }, TICK_MS);
  const give = (frames: readonly PitchFrame[], inSeconds: number): void => {
    const begins = pageSeconds() + inSeconds;
    waiting = frames.map((frame) => ({ ...frame, t: frame.t + begins }));
  };
  return {
    sing: (wanted, inSeconds) => {
      sung += 1;
      give(singTune(SINGERS[name], wanted, sung), inSeconds);
    },
    breatheOut: (seconds) => {
      sung += 1;
      give(breatheOut(SINGERS[name], seconds, sung), 0);
    },
    stop: () => {
      clearInterval(timer);
    },
  };
}

/**
 * Listens to whoever sings. Nothing is recorded.
 *
 * @param onFrames gets frames as they come, with times of the page in seconds
 * @throws DeviceError
 */
export async function openEar(source: EarSource, onFrames: OnFrames): Promise<Ear> {
  if (source !== 'microphone') return openSimulated(source, onFrames);
  const { stop } = await startMicrophone(onPageTime(onFrames));
  return { sing: () => undefined, breatheOut: () => undefined, stop };
}
