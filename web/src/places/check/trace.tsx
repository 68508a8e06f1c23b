import type { PitchFrame } from '@soft-lark/core';
import type { ReactElement, RefObject } from 'react';
import { useTranslation } from 'react-i18next';
import { drawRuns, LiveCanvas, type Easel } from '../../flight/live-canvas.tsx';
import { layTrace } from './trace.layout.ts';
import classes from './check.module.css';

const HEIGHT = 300;
/** Where the names of the notes end. */
const LEFT = 54;

function paint({ pen, colour, face, width }: Easel, frames: readonly PitchFrame[], target: number): void {
  const { lines, band, runs } = layTrace(frames, target, width, HEIGHT);
  pen.fillStyle = colour('--apricot-2');
  pen.fillRect(LEFT, band.top, width - LEFT, band.bottom - band.top);
  pen.textBaseline = 'middle';
  pen.textAlign = 'right';
  for (const { y, name, isTarget } of lines) {
    pen.fillStyle = colour(isTarget ? '--ink' : '--soft');
    pen.font = `${isTarget ? '700 18' : '14'}px ${face}`;
    pen.fillText(name, LEFT - 10, y);
  }
  pen.strokeStyle = colour('--plum');
  pen.lineWidth = 3;
  drawRuns(pen, runs);
}

interface TraceProps {
  readonly frames: RefObject<PitchFrame[]>;
  readonly target: number;
}

/** What is sung, as it is sung, against the notes around the one asked for. */
export function Trace({ frames, target }: TraceProps): ReactElement {
  const { t } = useTranslation();
  return (
    <LiveCanvas
      height={HEIGHT}
      label={t('check.trace')}
      className={classes['trace']}
      paint={(easel) => {
        paint(easel, frames.current, target);
      }}
    />
  );
}
