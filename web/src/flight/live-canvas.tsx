import { useElementSize } from '@mantine/hooks';
import { useEffect, useEffectEvent, useRef, type ReactElement } from 'react';

/** What paints a picture: a pen, colours of the theme by their names, and the face of its words. */
export interface Easel {
  readonly pen: CanvasRenderingContext2D;
  readonly colour: (name: string) => string;
  readonly face: string;
  readonly width: number;
}

interface LiveCanvasProps {
  readonly height: number;
  readonly label: string;
  readonly className?: string | undefined;
  readonly paint: (easel: Easel) => void;
}

/** A picture that is painted anew with every frame of the screen, as wide as there is room. */
export function LiveCanvas({ height, label, className, paint }: LiveCanvasProps): ReactElement {
  const { ref, width } = useElementSize();
  const canvas = useRef<HTMLCanvasElement>(null);
  const draw = useEffectEvent(() => {
    if (!canvas.current || width === 0) return;
    const pen = canvas.current.getContext('2d');
    if (!pen) return;
    const ratio = window.devicePixelRatio;
    if (canvas.current.width !== Math.round(width * ratio)) {
      canvas.current.width = Math.round(width * ratio);
      canvas.current.height = height * ratio;
    }
    const style = getComputedStyle(canvas.current);
    pen.setTransform(ratio, 0, 0, ratio, 0, 0);
    pen.clearRect(0, 0, width, height);
    paint({ pen, colour: (name) => style.getPropertyValue(name), face: style.fontFamily, width });
  });
  useEffect(() => {
    let frame = 0;
    const again = (): void => {
      draw();
      frame = requestAnimationFrame(again);
    };
    again();
    return () => {
      cancelAnimationFrame(frame);
    };
  }, []);
  return (
    <div ref={ref} className={className}>
      <canvas ref={canvas} style={{ display: 'block', width, height }} role="img" aria-label={label} />
    </div>
  );
}

/** Draws lines through points that belong together. */
export function drawRuns(
  pen: CanvasRenderingContext2D,
  runs: readonly (readonly { readonly x: number; readonly y: number }[])[],
): void {
  pen.lineJoin = 'round';
  for (const run of runs) {
    pen.beginPath();
    for (const { x, y } of run) pen.lineTo(x, y);
    pen.stroke();
  }
}
