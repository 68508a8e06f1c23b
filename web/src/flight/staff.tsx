import { useElementSize, useMergedRef } from '@mantine/hooks';
import { formatPattern, type Pattern } from '@soft-lark/core';
import { useEffect, useEffectEvent, useRef, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../text/note-names.ts';
import type { StaffLook } from './draw-staff.ts';
import { layStaff, SIGNS_A_LINE } from './staff.layout.ts';
import classes from './staff.module.css';

const MUSIC_FONT = '30px Bravura';

interface StaffProps {
  readonly pattern: Pattern;
  /** Where degree 1 stands, MIDI. */
  readonly tonic: number;
  /** On the sheet in lines; beside a title small and without words; at the piano large and in one line. */
  readonly look?: StaffLook;
  /** Index of the event that sounds now. */
  readonly now?: number | null;
}

/** Lights the signs of one event, and no other. */
function light(canvas: HTMLElement | null, now: number | null): void {
  for (const sign of canvas?.querySelectorAll<SVGElement>('[data-event]') ?? [])
    sign.toggleAttribute('data-now', sign.dataset['event'] === String(now));
}

/** A pattern as staff notation in one key; the engraver is loaded when the first staff shows. */
export function Staff({ pattern, tonic, look = 'sheet', now = null }: StaffProps): ReactElement {
  const { t } = useTranslation();
  const { ref: size, width } = useElementSize<HTMLDivElement>();
  const canvas = useRef<HTMLDivElement>(null);
  const both = useMergedRef(size, canvas);
  const lightNow = useEffectEvent(() => {
    light(canvas.current, now);
  });
  useEffect(() => {
    light(canvas.current, now);
  }, [now]);
  useEffect(() => {
    let isOver = false;
    if (width === 0) return undefined;
    const draw = async (): Promise<void> => {
      const { drawStaff } = await import('./draw-staff.ts');
      // The engraver brings its font along; signs are measured, so it must be there before anything is drawn.
      await document.fonts.load(MUSIC_FONT);
      if (isOver || !canvas.current) return;
      const ink = getComputedStyle(canvas.current).color;
      drawStaff(canvas.current, layStaff(pattern, tonic, look === 'sheet' ? SIGNS_A_LINE : Infinity), {
        width,
        ink,
        look,
      });
      lightNow();
    };
    void draw();
    return () => {
      isOver = true;
    };
  }, [pattern, tonic, width, look]);
  return (
    <div
      className={classes['staff']}
      data-look={look}
      role="img"
      aria-label={t('shelf.staff', { pattern: formatPattern(pattern), note: writeNote(tonic) })}
    >
      <div ref={both} />
    </div>
  );
}
