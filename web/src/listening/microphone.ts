import type { PitchFrame } from '@soft-lark/core';
import { proxy, transfer, wrap } from 'comlink';
import type { PitchListener } from './pitch.worker.ts';
import tapAddress from './tap.worklet.ts?worker&url';

export type MicrophoneProblem = 'NO_MICROPHONE' | 'REFUSED' | 'IN_USE' | 'NOT_HERE';

/** The microphone cannot be had; `code` says why. */
export class MicrophoneError extends Error {
  readonly code: MicrophoneProblem;

  constructor(code: MicrophoneProblem) {
    super(code);
    this.name = 'MicrophoneError';
    this.code = code;
  }
}

/** The browser's own names for what went wrong. */
const PROBLEMS: Readonly<Record<string, MicrophoneProblem>> = {
  NotFoundError: 'NO_MICROPHONE',
  OverconstrainedError: 'NO_MICROPHONE',
  NotAllowedError: 'REFUSED',
  SecurityError: 'REFUSED',
  NotReadableError: 'IN_USE',
  AbortError: 'IN_USE',
};

async function openStream(): Promise<MediaStream> {
  // The interface is missing where the page is not served over HTTPS or from this machine.
  const devices = navigator.mediaDevices as MediaDevices | undefined;
  if (!devices) throw new MicrophoneError('NOT_HERE');
  try {
    // What flatters speech bends a sung note.
    const audio = { echoCancellation: false, noiseSuppression: false, autoGainControl: false };
    return await devices.getUserMedia({ audio });
  } catch (error) {
    throw new MicrophoneError(PROBLEMS[error instanceof Error ? error.name : ''] ?? 'NO_MICROPHONE');
  }
}

export interface Microphone {
  readonly stream: MediaStream;
  readonly stop: () => void;
}

/**
 * Listens to the microphone; nothing is recorded here. Samples go from the audio thread to a worker, frames come from there.
 *
 * @returns the open microphone, and how to stop listening
 * @throws MicrophoneError
 */
export async function startMicrophone(onFrames: (frames: readonly PitchFrame[]) => void): Promise<Microphone> {
  const stream = await openStream();
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
