import { frameMaker, type PitchFrame } from '@soft-lark/core';
import { expose } from 'comlink';

/** Finds pitch off the main thread; the samples come straight from the audio thread. */
const listener = {
  listen(samples: MessagePort, sampleRate: number, onFrames: (frames: readonly PitchFrame[]) => void): void {
    const maker = frameMaker(sampleRate);
    samples.onmessage = ({ data }: MessageEvent<Float32Array>) => {
      const frames = maker.add(data);
      if (frames.length > 0) onFrames(frames);
    };
  },
};

export type PitchListener = typeof listener;

expose(listener);
