import { proxy, transfer, wrap } from 'comlink';
import type { TrackOrder } from './track-order.ts';
import type { TrackWorker } from './track.worker.ts';

/** A track that is being written; stopped, `bytes` is null. */
export interface Rendering {
  readonly bytes: Promise<Uint8Array | null>;
  readonly stop: () => void;
}

/** Writes a sound file beside the page, which stays free. */
export function startTrack(order: TrackOrder, onProgress: (share: number) => void): Rendering {
  const worker = new Worker(new URL('./track.worker.ts', import.meta.url), { type: 'module' });
  let stop: () => void = () => undefined;
  const stopped = new Promise<null>((resolve) => {
    stop = () => {
      resolve(null);
    };
  });
  const waves = order.samples.map(({ wave }) => wave.buffer);
  const rendered = wrap<TrackWorker>(worker).render(transfer(order, waves), proxy(onProgress));
  return {
    bytes: Promise.race([rendered, stopped]).finally(() => {
      worker.terminate();
    }),
    stop,
  };
}
