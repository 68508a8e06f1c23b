import type { PitchFrame } from '@soft-lark/core';
import { useElementSize } from '@mantine/hooks';
import { useEffect, useRef, type ReactElement, type RefObject } from 'react';
import { useTranslation } from 'react-i18next';
import { layTrace, type TraceShapes } from './trace.layout.ts';
import classes from './check.module.css';

const HEIGHT = 300;

function paint(canvas: HTMLCanvasElement, { lines, band, runs }: TraceShapes, width: number): void {
  const ratio = window.devicePixelRatio;
  if (canvas.width !== width * ratio) {
    canvas.width = width * ratio;
    canvas.height = HEIGHT * ratio;
  }
  const pen = canvas.getContext('2d');
  if (!pen) return;
  const style = getComputedStyle(canvas);
  const colour = (name: string): string => style.getPropertyValue(name);
  pen.setTransform(ratio, 0, 0, ratio, 0, 0);
  pen.clearRect(0, 0, width, HEIGHT);
  pen.fillStyle = colour('--apricot-2');
  pen.fillRect(54, band.top, width - 54, band.bottom - band.top);
  pen.textBaseline = 'middle';
  pen.textAlign = 'right';
  for (const { y, name, isTarget } of lines) {
    pen.fillStyle = colour(isTarget ? '--ink' : '--soft');
    pen.font = `${isTarget ? '700 18' : '14'}px ${style.fontFamily}`;
    pen.fillText(name, 44, y);
  }
  pen.strokeStyle = colour('--plum');
  pen.lineWidth = 3;
  pen.lineJoin = 'round';
  for (const run of runs) {
    pen.beginPath();
    for (const { x, y } of run) pen.lineTo(x, y);
    pen.stroke();
  }
}

interface TraceProps {
  readonly frames: RefObject<PitchFrame[]>;
  readonly target: number;
}

/** What is sung, as it is sung, against the notes around the one asked for. */
export function Trace({ frames, target }: TraceProps): ReactElement {
  const { t } = useTranslation();
  const { ref, width } = useElementSize();
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let frame = 0;
    const draw = (): void => {
      if (canvas.current && width > 0) paint(canvas.current, layTrace(frames.current, target, width, HEIGHT), width);
      frame = requestAnimationFrame(draw);
    };
    draw();
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [frames, target, width]);
  return (
    <div ref={ref} className={classes['trace']}>
      <canvas
        ref={canvas}
        style={{ width, height: HEIGHT }}
        role="img"
        aria-label={t('check.trace')}
        data-testid="trace"
      />
    </div>
  );
}
