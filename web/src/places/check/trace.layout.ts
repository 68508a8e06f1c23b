import type { PitchFrame } from '@soft-lark/core';
import { pitchScale } from '../../flight/pitch-scale.ts';
import { sungRuns } from '../../flight/sung-runs.ts';
import { writeNote } from '../../text/note-names.ts';

/** Semitones shown above and below the note asked for. */
const AROUND = 7;
const SECONDS = 6;
const LEFT = 54;

export interface TraceShapes {
  readonly lines: readonly { readonly y: number; readonly name: string; readonly isTarget: boolean }[];
  /** The stretch in which the note asked for counts. */
  readonly band: { readonly top: number; readonly bottom: number };
  /** Runs of points that belong together. */
  readonly runs: readonly (readonly { readonly x: number; readonly y: number }[])[];
}

/** Lays the last seconds of pitch out around the note asked for; time runs to the right edge. */
export function layTrace(frames: readonly PitchFrame[], target: number, width: number, height: number): TraceShapes {
  const scale = pitchScale(target - AROUND, target + AROUND, 10, height - 10);
  const now = frames.at(-1)?.t ?? 0;
  const x = (t: number): number => width - 8 - ((now - t) / SECONDS) * (width - LEFT - 8);
  const recent = frames.filter(({ t }) => t >= now - SECONDS);
  const runs = sungRuns(recent).map((run) => run.map(({ t, pitch }) => ({ x: x(t), y: scale.y(pitch) })));
  const lines = Array.from({ length: 2 * AROUND + 1 }, (_, index) => {
    const midi = target - AROUND + index;
    return { y: scale.y(midi), name: writeNote(midi), isTarget: midi === target };
  });
  return { lines, band: { top: scale.y(target + 0.6), bottom: scale.y(target - 0.6) }, runs };
}
