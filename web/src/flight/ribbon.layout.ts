import { isSounding, type LaidStep, type Stage } from '@soft-lark/core';
import { area, curveCatmullRom, line } from 'd3-shape';
import type { PitchScale } from './pitch-scale.ts';

/** How deep a ribbon's plum is: later, wider work is darker. */
const TINTS: Readonly<Record<Stage, 1 | 2 | 3>> = {
  settle: 1,
  breath: 1,
  release: 1,
  occluded: 1,
  resonance: 1,
  onset: 1,
  middle: 2,
  registers: 3,
  range: 3,
  agility: 2,
  dynamics: 2,
  tone: 2,
  words: 2,
  style: 3,
  cool: 1,
};

export interface FlightRibbon {
  readonly stepId: string;
  readonly tint: 1 | 2 | 3;
  readonly outline: string;
  readonly tunes: readonly string[];
}

/** How far a ribbon reaches past its notes. */
const EDGE = 7;

/** The ribbon of a sung step along the flight; `x` of seconds from its start. */
export function ribbonOf(step: LaidStep, x: (seconds: number) => number, scale: PitchScale): FlightRibbon | null {
  const begins = step.startsAt + step.setUpSeconds;
  const tint = TINTS[step.exercise.stage];
  const smooth = line<readonly [number, number]>(
    (point) => point[0],
    (point) => point[1],
  );
  if (step.laid?.kind === 'siren') {
    const points = step.laid.siren.pieces.flatMap(({ from, to, startsAt, endsAt }): [number, number][] => [
      [x(begins + startsAt), scale.y(from)],
      [x(begins + endsAt), scale.y(to)],
    ]);
    const path = smooth.curve(curveCatmullRom.alpha(0.5))(points) ?? '';
    return { stepId: step.id, tint, outline: '', tunes: [path] };
  }
  if (step.laid?.kind !== 'pattern' || step.laid.ladder.rungs.length === 0) return null;
  const { ladder, pattern } = step.laid;
  const edges = ladder.rungs.map(({ singsAt, endsAt, low, high }) => ({
    at: x(begins + (singsAt + endsAt) / 2),
    low: scale.y(low),
    high: scale.y(high),
  }));
  const [first] = edges;
  const last = edges.at(-1);
  if (!first || !last) return null;
  const pad = Math.max(2, (x(ladder.rungs[0]?.endsAt ?? 0) - x(0)) / 2.4 - EDGE);
  const ends = [{ ...first, at: first.at - pad }, ...edges, { ...last, at: last.at + pad }];
  const outline = area<(typeof ends)[number]>()
    .x(({ at }) => at)
    .y0(({ low }) => low - EDGE)
    .y1(({ high }) => high + EDGE)
    .curve(curveCatmullRom.alpha(0.5))(ends);
  const tunes = ladder.rungs.map(({ tonic, singsAt, tempo }) => {
    let clock = begins + singsAt;
    const points = pattern.events.flatMap((event): [number, number][] => {
      const from = clock;
      clock += (event.beats * 60) / tempo;
      if (!isSounding(event)) return [];
      const middle = x((from + clock) / 2);
      return event.kind === 'note'
        ? [[middle, scale.y(tonic + event.from)]]
        : [
            [x(from), scale.y(tonic + event.from)],
            [x(clock), scale.y(tonic + event.to)],
          ];
    });
    return smooth(points) ?? '';
  });
  return { stepId: step.id, tint, outline: outline ?? '', tunes };
}
