import type { LaidRoutine } from '@soft-lark/core';
import { line } from 'd3-shape';
import type { ReactElement } from 'react';
import classes from './small-flight.module.css';

const WIDTH = 152;
const HEIGHT = 54;
const GROUND = 47;

/** A routine's flight in a few strokes: where it goes and how high, for lists. */
export function SmallFlight({
  routine,
  isNext,
}: {
  readonly routine: LaidRoutine;
  readonly isNext: boolean;
}): ReactElement | null {
  const { lowest, highest, seconds } = routine;
  if (lowest === null || highest === null || seconds === 0) return null;
  const x = (at: number): number => 4 + (at / seconds) * (WIDTH - 8);
  const y = (midi: number): number => GROUND - 8 - ((midi - lowest) / Math.max(6, highest - lowest)) * (GROUND - 16);
  const strokes = routine.steps.flatMap((step) => {
    const begins = step.startsAt + step.setUpSeconds;
    const points: [number, number][] =
      step.laid?.kind === 'pattern'
        ? step.laid.ladder.rungs.map(({ singsAt, low, high }) => [x(begins + singsAt), y((low + high) / 2)])
        : step.laid?.kind === 'siren'
          ? step.laid.siren.pieces.map(({ startsAt, from }) => [x(begins + startsAt), y(from)])
          : [];
    return points.length > 0
      ? [{ id: step.id, path: line()(points.length > 1 ? points : [...points, ...points]) ?? '' }]
      : [];
  });
  return (
    <svg className={classes['small']} width={WIDTH} height={HEIGHT} data-next={isNext} aria-hidden>
      {strokes.map(({ id, path }) => (
        <path key={id} className={classes['stroke']} d={path} />
      ))}
      <line className={classes['ground']} x1="0" x2={WIDTH} y1={GROUND} y2={GROUND} />
    </svg>
  );
}
