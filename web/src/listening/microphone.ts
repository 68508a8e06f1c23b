import type { PitchFrame } from '@soft-lark/core';
import { proxy, transfer, wrap } from 'comlink';
import type { PitchListener } from './pitch.worker.ts';
import { openStream } from './open-stream.ts';
import tapAddress from './tap.worklet.ts?worker&url';

/** What flatters speech bends a sung note. */
const UNTOUCHED = { echoCancellation: false, noiseSuppression: false, autoGainControl: false };

export interface Microphone {
  readonly stream: MediaStream;
  readonly stop: () => void;
}

/**
 * Listens to the microphone; nothing is recorded here. Samples go from the audio thread to a worker, frames come from there.
 *
 * @returns the open microphone, and how to stop listening
 * @throws DeviceError
 */
export async function startMicrophone(onFrames: (frames: readonly PitchFrame[]) => void): Promise<Microphone> {
  const stream = await openStream({ audio: UNTOUCHED });
  const context = new AudioContext();
  const worker = new Worker(new URL('./pitch.worker.ts', import.meta.url), { type: 'module' });
  const stop = (): void => {
    for (const track of stream.getTracks()) track.stop();
    worker.terminate();
    void context.close();
  };
  await context.audioWorklet.addModule(tapAddress);
  await context.resume();
  const tap = new AudioWorkletNode(context, 'soft-lark-tap', { numberOfOutputs: 0 });
  const { port1, port2 } = new MessageChannel();
  tap.port.postMessage(port1, [port1]);
  await wrap<PitchListener>(worker).listen(transfer(port2, [port2]), context.sampleRate, proxy(onFrames));
  context.createMediaStreamSource(stream).connect(tap);
  return { stream, stop };
}
