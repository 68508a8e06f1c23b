import { PitchDetector } from 'pitchy';
import type { PitchFrame } from './listening.types.ts';

/** Samples looked at for one frame, and between two frames: three periods of the lowest bass fit at 44.1 kHz. */
const FRAME_SAMPLES = 2048;
export const HOP_SECONDS = 0.016;

/** Turns samples into frames, block by block; samples that do not fill a frame wait for the next block. */
export interface FrameMaker {
  readonly add: (samples: Float32Array) => readonly PitchFrame[];
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
  const detector = PitchDetector.forFloat32Array(FRAME_SAMPLES);
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
      for (; from + FRAME_SAMPLES <= all.length; from += hop) {
        const window = all.subarray(from, from + FRAME_SAMPLES);
        const [hz, clarity] = detector.findPitch(window, sampleRate);
        frames.push({ t: (at + from + FRAME_SAMPLES / 2) / sampleRate, hz, clarity, level: levelOf(window) });
      }
      at += from;
      kept = all.slice(from);
      return frames;
    },
  };
}
