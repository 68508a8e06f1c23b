import type { Exercise } from '@soft-lark/core';
import { useMemo, type ReactElement } from 'react';
import { layContour } from './contour.layout.ts';
import classes from './contour.module.css';

const WIDTH = 116;
const HEIGHT = 38;

/** The tune of an exercise as a small stroke; a pebble where there is none. */
export function Contour({ exercise }: { readonly exercise: Exercise }): ReactElement {
  const contour = useMemo(() => layContour(exercise, WIDTH, HEIGHT), [exercise]);
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden className={classes['contour']}>
      {contour ? (
        <>
          <path className={classes['body']} d={contour.path} />
          <path className={classes['tune']} d={contour.path} />
        </>
      ) : (
        <rect className={classes['pebble']} x="26" y={HEIGHT - 22} width={WIDTH - 52} height="14" rx="7" />
      )}
    </svg>
  );
}
