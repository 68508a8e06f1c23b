import { endOf, type NoteScore, type PitchFrame, type RungScore, type WantedNote } from '@soft-lark/core';
import { pitchScale } from '../../flight/pitch-scale.ts';
import { sungRuns } from '../../flight/sung-runs.ts';

/** Semitones above and below the tune that still show. */
const AROUND = 2;
/** Who is late is still seen. Seconds. */
const AFTER = 1;
/** How high a note lies: as far as it is in tune, in semitones to each side, and never a hairline. */
const HALF_NOTE = 0.35;
const LEAST_HEIGHT = 7;
const EDGE = 6;
const BETWEEN = 2;
const OCTAVE = 12;

interface HeardShapes {
  /** The notes that are wanted; `is` where they are over. */
  readonly notes: readonly {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
    readonly is: NoteScore['is'] | null;
  }[];
  /** The line that is sung, as many octaves moved as most of it is away. */
  readonly runs: readonly (readonly { readonly x: number; readonly y: number }[])[];
}

interface HeardInput {
  readonly frames: readonly PitchFrame[];
  readonly wanted: readonly WantedNote[];
  readonly score: RungScore | null;
  readonly width: number;
  readonly height: number;
}

/** Lays the notes of a key out with the line that was sung over them; time runs left to right. */
export function layHeard({ frames, wanted, score, width, height }: HeardInput): HeardShapes {
  const pitches = wanted.map(({ midi }) => midi);
  const scale = pitchScale(Math.min(...pitches) - AROUND, Math.max(...pitches) + AROUND, EDGE, height - EDGE);
  const seconds = endOf(wanted.at(-1)) + AFTER;
  const x = (t: number): number => EDGE + (t / seconds) * (width - 2 * EDGE);
  const thickness = Math.max(LEAST_HEIGHT, Math.abs(scale.y(0) - scale.y(2 * HALF_NOTE)));
  const moved = (score?.octaves ?? 0) * OCTAVE;
  const isInside = (pitch: number): boolean => pitch >= scale.low && pitch <= scale.high;
  return {
    notes: wanted.map(({ midi, startSeconds, seconds: lasts }, index) => ({
      x: x(startSeconds),
      y: scale.y(midi) - thickness / 2,
      width: x(startSeconds + lasts) - x(startSeconds) - BETWEEN,
      height: thickness,
      is: score?.notes[index]?.is ?? null,
    })),
    runs: sungRuns(frames.filter(({ t }) => t <= seconds)).map((run) =>
      run
        .map(({ t, pitch }) => ({ t, pitch: pitch - moved }))
        .filter(({ pitch }) => isInside(pitch))
        .map(({ t, pitch }) => ({ x: x(t), y: scale.y(pitch) })),
    ),
  };
}
