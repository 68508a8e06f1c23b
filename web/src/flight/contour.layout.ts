import { isSounding, patternOfWork, type Exercise } from '@soft-lark/core';
import { curveCatmullRom, line } from 'd3-shape';

/** The shape of one exercise in a small picture: a tune's path, or what it is instead. */
export interface Contour {
  readonly path: string;
  readonly span: number;
}

const PAD = 5;

function scaled(
  points: readonly (readonly [number, number])[],
  width: number,
  height: number,
  isSmooth: boolean,
): string {
  const times = points.map(([at]) => at);
  const pitches = points.map(([, pitch]) => pitch);
  const length = Math.max(...times) || 1;
  const low = Math.min(...pitches);
  const span = Math.max(5, Math.max(...pitches) - low);
  const draw = line<readonly [number, number]>(
    ([at]) => PAD + (at / length) * (width - 2 * PAD),
    ([, pitch]) => height - PAD - ((pitch - low) / span) * (height - 2 * PAD),
  );
  return (isSmooth ? draw.curve(curveCatmullRom) : draw)(points) ?? '';
}

/** Lays the contour of an exercise out; a step without pitch has none. */
export function layContour(exercise: Exercise, width: number, height: number): Contour | null {
  const { work } = exercise;
  if (work.kind === 'siren') {
    const { lowShare: low, highShare: high, shape } = work;
    const heights = { up: [low, high], down: [high, low], 'up-down': [low, high, low], 'down-up': [high, low, high] }[
      shape
    ];
    return {
      path: scaled(
        heights.map((share, index) => [index, share * 12] as const),
        width,
        height,
        true,
      ),
      span: 0,
    };
  }
  if (work.kind !== 'pattern') return null;
  const pattern = patternOfWork(work);
  let clock = 0;
  const points = pattern.events.flatMap((event): [number, number][] => {
    const from = clock;
    clock += event.beats;
    if (!isSounding(event)) return [];
    return event.kind === 'note'
      ? [[(from + clock) / 2, event.from]]
      : [
          [from, event.from],
          [clock, event.to],
        ];
  });
  return { path: scaled(points, width, height, false), span: pattern.high - pattern.low };
}
