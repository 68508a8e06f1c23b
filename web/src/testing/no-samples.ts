import type { Sample } from '@soft-lark/core';

/** Recorded notes where nothing can decode them: a short wave each. */
export function decodedSamples(pitches: readonly number[]): Promise<readonly Sample[]> {
  const wave = Float32Array.from({ length: 4410 }, (_, at) => Math.sin(at / 20));
  return Promise.resolve(pitches.map((midi) => ({ midi, rate: 44_100, wave })));
}
