import { keyName, type PitchFrame, type WantedNote } from '@soft-lark/core';
import { useTranslation } from 'react-i18next';
import type { ReactElement } from 'react';
import { drawRuns, LiveCanvas, type Easel } from '../../flight/live-canvas.tsx';
import { writeNote } from '../../text/note-names.ts';
import { decimalText, shareText } from '../../text/numbers.ts';
import { layHeard } from './heard.layout.ts';
import type { NotHeard } from './may-listen.ts';
import type { HeardKey, Listening } from './use-ear.ts';
import classes from './ear.module.css';

const HEIGHT = 66;
const ROUND = 3;

function paint(
  { pen, colour, width }: Easel,
  wanted: readonly WantedNote[],
  frames: readonly PitchFrame[],
  score: Listening['now'],
): void {
  const { notes, runs } = layHeard({ frames, wanted, score, width, height: HEIGHT });
  for (const { x, y, width: wide, height, is } of notes) {
    pen.beginPath();
    pen.roundRect(x, y, wide, height, ROUND);
    // What was another note, or none, is an outline: a picture, never a colour of its own.
    pen.strokeStyle = colour('--soft');
    pen.fillStyle = colour(is === 'sung' || is === 'octave' ? '--plum-3' : '--line');
    pen.lineWidth = 1;
    if (is === 'other' || is === 'missing') pen.stroke();
    else pen.fill();
  }
  pen.strokeStyle = colour('--plum');
  pen.lineWidth = 2.5;
  drawRuns(pen, runs);
}

/** What was heard of a key, in words: how far off, how much in tune, in which octave, how its last note stood. */
function useHeardWords(): (heard: HeardKey) => readonly string[] {
  const { t } = useTranslation();
  return ({ score: { cents, inTune, octaves, notes }, vibrato }) => {
    const off = Math.abs(cents ?? 0);
    const astray = notes.filter(({ is }) => is === 'other' || is === 'missing').length;
    return [
      cents === null ? t('piano.ear.otherNotes') : t(`piano.ear.cents.${cents < 0 ? 'low' : 'high'}`, { count: off }),
      ...(cents === null ? [] : [t('piano.ear.inTune', { share: shareText(inTune) })]),
      ...(astray > 0 && cents !== null ? [t('piano.ear.astray', { count: astray })] : []),
      ...(octaves === 0 ? [] : [t(`piano.ear.octaves.${octaves < 0 ? 'low' : 'high'}`, { count: Math.abs(octaves) })]),
      ...(vibrato === 'straight' ? [t('piano.ear.straight')] : []),
      ...(vibrato !== null && vibrato !== 'straight'
        ? [t('piano.ear.vibrato', { rate: decimalText(vibrato.rateHz), cents: vibrato.extentCents })]
        : []),
    ];
  };
}

/** The notes of the key that was heard, for whoever does not see the picture. */
function HeardTable({ heard }: { readonly heard: HeardKey }): ReactElement {
  const { t } = useTranslation();
  return (
    <table className="visually-hidden">
      <caption>{t('piano.ear.table', { key: keyName(heard.tonic) })}</caption>
      <thead>
        <tr>
          {(['note', 'heard', 'cents'] as const).map((name) => (
            <th key={name} scope="col">
              {t(`piano.ear.columns.${name}`)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {heard.score.notes.map(({ midi, is, cents }, index) => (
          <tr key={index}>
            <th scope="row">{writeNote(midi)}</th>
            <td>{t(`piano.ear.is.${is}`)}</td>
            <td>{cents ?? ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface EarStripProps {
  readonly listening: Listening;
  /** The notes that are listened for; or why none are. */
  readonly asked: { readonly wanted: readonly WantedNote[] } | { readonly why: NotHeard };
}

/** What is sung against what should sound, as it is sung, and what was heard of the key before. */
export function EarStrip({ listening, asked }: EarStripProps): ReactElement | null {
  const { t } = useTranslation();
  const words = useHeardWords();
  const { state, frames, now, heard } = listening;
  if (state !== 'on') return null;
  if ('why' in asked) return <p className={classes['why']}>{t(`piano.ear.why.${asked.why}`)}</p>;
  const [first, ...others] = heard ? words(heard) : [];
  return (
    <section className={classes['strip']} aria-label={t('piano.ear.title')}>
      <LiveCanvas
        height={HEIGHT}
        label={t('piano.ear.picture')}
        className={classes['picture']}
        paint={(easel) => {
          paint(easel, asked.wanted, frames.current, now);
        }}
      />
      <div className={classes['words']} role="status">
        {heard ? (
          <>
            <b>
              {keyName(heard.tonic)} · {first}
            </b>
            {others.map((word) => (
              <span key={word}>{word}</span>
            ))}
          </>
        ) : (
          <span>{t('piano.ear.listening')}</span>
        )}
      </div>
      {heard && <HeardTable heard={heard} />}
    </section>
  );
}
