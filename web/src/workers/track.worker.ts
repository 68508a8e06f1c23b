import { expose, transfer } from 'comlink';
import { renderTrack } from './render-track.ts';
import type { TrackOrder } from './track-order.ts';

const sound = {
  render: async (order: TrackOrder, onProgress: (share: number) => void) => {
    const bytes = await renderTrack(order, onProgress);
    return transfer(bytes, [bytes.buffer]);
  },
};

export type TrackWorker = typeof sound;
expose(sound);
