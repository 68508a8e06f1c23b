import { PitchDetector } from 'pitchy';
import type { PitchFrame } from './listening.types.ts';

/** Looked at for one frame: three periods of the lowest bass. */
const FRAME_SECONDS = 2048 / 44_100;
/** Between two frames. */
export const HOP_SECONDS = 0.016;

/** Turns samples into frames, block by block; samples that do not fill a frame wait for the next block. */
export interface FrameMaker {
  readonly add: (samples: Float32Array) => readonly PitchFrame[];
}

/** Samples of one frame: as many more as there are more a second, a power of two for the transform. */
function frameSamples(sampleRate: number): number {
  return 2 ** Math.round(Math.log2(FRAME_SECONDS * sampleRate));
}

function levelOf(window: Float32Array): number {
  return Math.sqrt(window.reduce((sum, sample) => sum + sample * sample, 0) / window.length);
}

/**
 * A maker of pitch frames for one stream of sound.
 *
 * @param sampleRate samples a second, 8,000–192,000
 */
export function frameMaker(sampleRate: number): FrameMaker {
  const length = frameSamples(sampleRate);
  const detector = PitchDetector.forFloat32Array(length);
  const hop = Math.round(HOP_SECONDS * sampleRate);
  let kept = new Float32Array(0);
  let at = 0;
  return {
    add: (samples) => {
      const all = new Float32Array(kept.length + samples.length);
      all.set(kept);
      all.set(samples, kept.length);
      const frames: PitchFrame[] = [];
      let from = 0;
      for (; from + length <= all.length; from += hop) {
        const window = all.subarray(from, from + length);
        const [hz, clarity] = detector.findPitch(window, sampleRate);
        frames.push({ t: (at + from + length / 2) / sampleRate, hz, clarity, level: levelOf(window) });
      }
      at += from;
      kept = all.slice(from);
      return frames;
    },
  };
}
