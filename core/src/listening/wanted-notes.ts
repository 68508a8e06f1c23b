import type { Pattern } from '../pattern/index.ts';

/** A note that is to be sung: MIDI, seconds from the start of the tune. */
export interface WantedNote {
  readonly midi: number;
  readonly startSeconds: number;
  readonly seconds: number;
}

/** When a note ends, seconds from the start of the tune; nought where there is none. */
export function endOf(note: WantedNote | undefined): number {
  return note ? note.startSeconds + note.seconds : 0;
}

/**
 * The notes of a tune in one key as they are to be sung; a glide has no one pitch, and is left out.
 *
 * @param tonic MIDI number of degree 1
 * @param tempo beats per minute
 */
export function wantedNotes({ events }: Pattern, tonic: number, tempo: number): readonly WantedNote[] {
  let clock = 0;
  return events.flatMap(({ kind, from, beats }) => {
    const startSeconds = clock;
    const seconds = (beats * 60) / tempo;
    clock += seconds;
    return kind === 'note' && from !== undefined ? [{ midi: tonic + from, startSeconds, seconds }] : [];
  });
}
