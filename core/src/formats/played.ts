import { FormatError } from '../errors.ts';
import type { Melody, MelodyEvent } from '../song/index.ts';

/** A note as it was played or sung. Seconds; `seconds` is left out where only its beginning is known. */
export interface PlayedNote {
  readonly midi: number;
  readonly startSeconds: number;
  readonly seconds?: number;
}

/** Source: house choice: eighths are told apart, and a silence shorter than one is a breath, not a rest. */
const GRID = 2;
const LONGEST_BEATS = 16;

function onGrid(beats: number): number {
  return Math.min(LONGEST_BEATS, Math.max(1 / GRID, Math.round(beats * GRID) / GRID));
}

/**
 * A tune that was sung or played in, quantized to eighths at a tempo. Notes last until the next begins, unless a silence
 * of a beat or more lies between.
 *
 * @param tempo beats per minute
 * @throws FormatError `NO_NOTES`
 * @example at 60: notes at 0 s, 1.1 s and 1.9 s, the last 2 s long, are a beat, a beat and two beats
 */
export function melodyOfPlayed(notes: readonly PlayedNote[], tempo: number): Melody {
  const sorted = [...notes].sort((a, b) => a.startSeconds - b.startSeconds);
  if (sorted.length === 0)
    throw new FormatError('NO_NOTES', 'No note was heard.', 'Sing or play a little louder, one note after the other.', {
      context: 'heard',
    });
  const beats = (seconds: number): number => (seconds * tempo) / 60;
  const events = sorted.flatMap(({ midi, startSeconds, seconds }, index): MelodyEvent[] => {
    const next = sorted[index + 1];
    const untilNext = next && beats(next.startSeconds - startSeconds);
    const own = beats(seconds ?? 60 / tempo);
    if (untilNext === undefined) return [{ midi, beats: onGrid(own) }];
    const silence = seconds === undefined ? 0 : untilNext - own;
    if (silence < 1) return [{ midi, beats: onGrid(untilNext) }];
    const sung = onGrid(own);
    const rest = Math.round((untilNext - sung) * GRID) / GRID;
    return rest > 0 ? [{ midi, beats: sung }, { beats: rest }] : [{ midi, beats: sung }];
  });
  return { title: 'Sung in', events, tempo, dropped: [] };
}
