import { useSyncExternalStore } from 'react';
import { onPianoState, pianoState, type PianoState } from './piano.ts';

/** Whether the piano can be heard yet. */
export function usePianoState(): PianoState {
  return useSyncExternalStore(onPianoState, pianoState);
}
