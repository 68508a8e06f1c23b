import { loadPiano, playPiano, wakePiano } from './piano.ts';

const CUE = { seconds: 0.8, velocity: 0.6, role: 'first-note' } as const;

/** Sounds one note, as a cue: call it from a press, or once one has woken the piano. */
export async function playNote(midi: number): Promise<void> {
  await loadPiano([midi]);
  await wakePiano();
  playPiano([{ midi, startSeconds: 0, ...CUE }]);
}
