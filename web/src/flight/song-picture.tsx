import type { SongAnalysis, SongNote } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../text/note-names.ts';
import { clockText } from '../text/times.ts';
import { pitchScale } from './pitch-scale.ts';
import classes from './song-picture.module.css';

interface SongPictureProps {
  readonly notes: readonly SongNote[];
  readonly analysis: SongAnalysis;
  /** The comfortable range, MIDI. */
  readonly easy: { readonly low: number; readonly high: number };
  readonly bridges: readonly number[];
  /** Semitones by which the song is moved. */
  readonly shift: number;
}

const WIDTH = 1180;
const HEIGHT = 270;
const LEFT = 52;
const RIGHT = 70;
const TOP = 14;
const BOTTOM = HEIGHT - 34;
const TICK_SECONDS = [5, 10, 20, 30, 60, 120];
const MOST_TICKS = 8;

/** A song laid over a voice: each note by time and pitch, what lies outside the easy range, and where the voice turns over. */
export function SongPicture({ notes, analysis, easy, bridges, shift }: SongPictureProps): ReactElement {
  const { t } = useTranslation();
  const lowest = analysis.lowest + shift;
  const highest = analysis.highest + shift;
  const { y } = pitchScale(Math.min(lowest, easy.low) - 1, Math.max(highest, easy.high) + 1, TOP, BOTTOM);
  const length = Math.max(1, ...notes.map(({ start, seconds }) => start + seconds));
  const x = (seconds: number): number => LEFT + (seconds / length) * (WIDTH - LEFT - RIGHT);
  const rowHeight = y(0) - y(1);
  const tick = TICK_SECONDS.find((seconds) => length / seconds <= MOST_TICKS) ?? 240;
  const { longestPhrase, tessitura } = analysis;
  return (
    <svg
      className={classes['song']}
      viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`}
      role="img"
      aria-label={t('students.song.pictureWords', { low: writeNote(lowest), high: writeNote(highest) })}
    >
      <rect
        className={classes['easy']}
        x={LEFT}
        width={WIDTH - LEFT - RIGHT}
        y={y(easy.high + 0.5)}
        height={y(easy.low - 0.5) - y(easy.high + 0.5)}
        rx={6}
      />
      {[easy.high, easy.low].map((midi) => (
        <text key={midi} className={classes['pitch']} x={LEFT - 8} y={y(midi) + 4} textAnchor="end">
          {writeNote(midi)}
        </text>
      ))}
      {bridges.map((bridge) => (
        <g key={bridge} className={classes['bridge']}>
          <line x1={LEFT} x2={WIDTH - RIGHT} y1={y(bridge)} y2={y(bridge)} />
          <text x={WIDTH - RIGHT + 8} y={y(bridge) + 4}>
            {t('students.song.bridge')}
          </text>
        </g>
      ))}
      <g className={classes['stays']}>
        <line
          x1={WIDTH - RIGHT + 3}
          x2={WIDTH - RIGHT + 3}
          y1={y(tessitura.high + shift + 0.5)}
          y2={y(tessitura.low + shift - 0.5)}
        />
      </g>
      {notes.map(({ midi, start, seconds }) => {
        const pitch = midi + shift;
        return (
          <rect
            key={`${String(start)} ${String(midi)}`}
            className={classes['note']}
            data-outside={pitch < easy.low || pitch > easy.high}
            x={x(start)}
            width={Math.max(1.5, x(start + seconds) - x(start) - 1)}
            y={y(pitch + 0.5) + 1}
            height={Math.max(2, rowHeight - 2)}
            rx={2}
          />
        );
      })}
      <g className={classes['phrase']}>
        <line
          x1={x(longestPhrase.start)}
          x2={x(longestPhrase.start + longestPhrase.seconds)}
          y1={BOTTOM + 6}
          y2={BOTTOM + 6}
        />
      </g>
      {Array.from({ length: Math.floor(length / tick) + 1 }, (_, index) => index * tick).map((seconds) => (
        <text key={seconds} className={classes['pitch']} x={x(seconds)} y={HEIGHT - 8} textAnchor="middle">
          {clockText(seconds)}
        </text>
      ))}
    </svg>
  );
}
