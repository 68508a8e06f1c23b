import { useElementSize } from '@mantine/hooks';
import type { Siren } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../text/note-names.ts';
import classes from './course.module.css';

/** Room for the names of the notes, at the left and above. */
const LEFT = 48;
const PAD = 12;

interface GlidePictureProps {
  readonly siren: Siren;
  readonly height: number;
}

/** Glides as they go: time to the right, pitch upwards, with the notes at both ends. */
export function GlidePicture({ siren, height }: GlidePictureProps): ReactElement | null {
  const { t } = useTranslation();
  const { ref, width } = useElementSize();
  const { pieces, seconds, lowest, highest } = siren;
  if (lowest === null || highest === null) return null;
  const x = (at: number): number => LEFT + (at / seconds) * Math.max(0, width - LEFT - PAD);
  const y = (midi: number): number => PAD + ((highest - midi) / (highest - lowest)) * (height - 2 * PAD);
  const ends = { low: writeNote(lowest), high: writeNote(highest) };
  const passes = new Set(pieces.map(({ pass }) => pass)).size;
  return (
    <div ref={ref} className={classes['glide']}>
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label={t('bench.passes', { count: passes, ...ends })}>
          {[highest, lowest].map((midi) => (
            <g key={midi}>
              <line x1={LEFT} x2={width - PAD} y1={y(midi)} y2={y(midi)} />
              <text x={LEFT - 10} y={y(midi) + 4}>
                {writeNote(midi)}
              </text>
            </g>
          ))}
          {pieces.map(({ from, to, startsAt, endsAt }) => {
            const middle = (x(startsAt) + x(endsAt)) / 2;
            return (
              <path
                key={startsAt}
                d={`M${String(x(startsAt))} ${String(y(from))}C${String(middle)} ${String(y(from))} ${String(middle)} ${String(y(to))} ${String(x(endsAt))} ${String(y(to))}`}
              />
            );
          })}
        </svg>
      )}
    </div>
  );
}
