import { useElementSize, useMergedRef } from '@mantine/hooks';
import { formatPattern, type Pattern } from '@soft-lark/core';
import { useEffect, useRef, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { layStaff } from './staff.layout.ts';
import classes from './staff.module.css';

const MUSIC_FONT = '30px Bravura';

/** A pattern as staff notation in one key; the engraver is loaded when the first staff shows. */
export function Staff({ pattern, tonic }: { readonly pattern: Pattern; readonly tonic: number }): ReactElement {
  const { t } = useTranslation();
  const { ref: size, width } = useElementSize<HTMLDivElement>();
  const canvas = useRef<HTMLDivElement>(null);
  const both = useMergedRef(size, canvas);
  useEffect(() => {
    let isOver = false;
    if (width === 0) return undefined;
    const draw = async (): Promise<void> => {
      const { drawStaff } = await import('./draw-staff.ts');
      // The engraver brings its font along; signs are measured, so it must be there before anything is drawn.
      await document.fonts.load(MUSIC_FONT);
      if (isOver || !canvas.current) return;
      const ink = getComputedStyle(canvas.current).color;
      drawStaff(canvas.current, layStaff(pattern, tonic), width, ink);
    };
    void draw();
    return () => {
      isOver = true;
    };
  }, [pattern, tonic, width]);
  return (
    <div className={classes['staff']} role="img" aria-label={t('shelf.staff', { pattern: formatPattern(pattern) })}>
      <div ref={both} />
    </div>
  );
}
