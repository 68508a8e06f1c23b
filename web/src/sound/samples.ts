import type { Sample } from '@soft-lark/core';
import { soundAddress, samplesFor } from './piano.ts';

/** Frames a second at which recorded notes are handed to a mixer. */
const RATE = 44_100;

/** Both channels of a recording as one. */
function inOne(buffer: AudioBuffer): Float32Array {
  const channels = Array.from({ length: buffer.numberOfChannels }, (_, index) => buffer.getChannelData(index));
  const wave = new Float32Array(buffer.length);
  for (const channel of channels)
    for (let at = 0; at < wave.length; at += 1) wave[at] = (wave[at] ?? 0) + (channel[at] ?? 0) / channels.length;
  return wave;
}

/**
 * The piano's recorded notes nearest to some pitches, decoded; only the page can do that, a worker has no audio.
 *
 * @throws where one of them cannot be loaded
 */
export function decodedSamples(pitches: readonly number[]): Promise<readonly Sample[]> {
  const context = new OfflineAudioContext(1, 1, RATE);
  return Promise.all(
    samplesFor(pitches).map(async (midi) => {
      const response = await fetch(soundAddress(midi));
      if (!response.ok) throw new Error(`Sound ${String(midi)} is missing.`);
      const buffer = await context.decodeAudioData(await response.arrayBuffer());
      return { midi, rate: RATE, wave: inOne(buffer) };
    }),
  );
}
