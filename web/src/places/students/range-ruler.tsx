import { type Limits, type ReferenceRange, type VoiceFile } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { voiceSpan } from '../../flight/pitch-scale.ts';
import { shortDayText } from '../../text/times.ts';
import { PictureTable } from '../../ui/picture-table.tsx';
import { layRuler, type Bar, type RulerShapes } from './range-ruler.layout.ts';
import { writeNote } from '../../text/note-names.ts';
import classes from './range-ruler.module.css';

const HEIGHT = 520;
const WIDTH = 420;
const COLUMN = 54;
const USUAL = 70;
const MEASURED = 136;
const TODAY = 202;
const WORDS = 278;

function Column({ bar, x, look }: { readonly bar: Bar; readonly x: number; readonly look: string }): ReactElement {
  return (
    <rect
      className={classes[look]}
      x={x}
      y={bar.top}
      width={COLUMN}
      height={Math.max(2, bar.bottom - bar.top)}
      rx="15"
    />
  );
}

/** What stands beside the columns, each at its height. */
function useWords(
  shapes: RulerShapes,
  voice: VoiceFile,
  belt: number | null,
): readonly { readonly y: number; readonly look: string; readonly text: string }[] {
  const { t } = useTranslation();
  return [
    ...shapes.bridges.map(({ y, low, high }) => ({
      y,
      look: 'bridgeWord',
      text: t('students.turnsOver', { low, high }),
    })),
    ...shapes.zones.map(({ top, bottom, text }) => ({
      y: (top + bottom) / 2,
      look: 'zoneWord',
      text: t('students.neverSounded', { range: text }),
    })),
    ...shapes.hard.map(({ y, note, side }) => ({
      y,
      look: 'zoneWord',
      text: t(side === 'floor' ? 'students.hardFloor' : 'students.hardCeiling', { note }),
    })),
    ...(shapes.speaking === null
      ? []
      : [
          {
            y: shapes.speaking,
            look: 'word',
            text: t('students.speaks', { note: writeNote(voice.speakingNote ?? 0) }),
          },
        ]),
    ...(shapes.belt === null || belt === null
      ? []
      : [{ y: shapes.belt, look: 'word', text: t('students.beltUpTo', { note: writeNote(belt) }) }]),
  ];
}

/** The four columns with the bridges, zones and edges that cross them. */
function VoiceShapes({ shapes }: { readonly shapes: RulerShapes }): ReactElement {
  return (
    <>
      <Column bar={shapes.usual} x={USUAL} look="usual" />
      <Column bar={shapes.reach} x={MEASURED} look="reach" />
      <Column bar={shapes.comfortable} x={MEASURED} look="comfortable" />
      <Column bar={shapes.today} x={TODAY} look="today" />
      {shapes.bridges.map(({ y }) => (
        <line key={y} className={classes['bridge']} x1={USUAL - 6} x2={TODAY + COLUMN + 10} y1={y} y2={y} />
      ))}
      {shapes.zones.map(({ top, bottom, text }) => (
        <rect
          key={text}
          className={classes['zone']}
          x={MEASURED - 8}
          y={top}
          width={TODAY + COLUMN - MEASURED + 16}
          height={bottom - top}
          rx="8"
        />
      ))}
      {shapes.hard.map(({ y, side }) => (
        <line key={side} className={classes['hard']} x1={MEASURED - 8} x2={TODAY + COLUMN + 8} y1={y} y2={y} />
      ))}
      {shapes.belt !== null && (
        <line className={classes['belt']} x1={MEASURED - 8} x2={TODAY + COLUMN + 8} y1={shapes.belt} y2={shapes.belt} />
      )}
      {shapes.speaking !== null && (
        <circle className={classes['speaking']} cx={TODAY + COLUMN / 2} cy={shapes.speaking} r="5.5" />
      )}
    </>
  );
}

function Feet({ type, date }: { readonly type: VoiceFile['type']; readonly date: string }): readonly ReactElement[] {
  const { t } = useTranslation();
  const feet = [
    [USUAL, t('students.ruler.usual'), t(`voices.${type}`)],
    [MEASURED, t('students.ruler.measured'), date],
    [TODAY, t('students.ruler.today'), ''],
  ] as const;
  return feet.map(([x, name, detail]) => (
    <g key={name}>
      <text className={classes['foot']} x={x + COLUMN / 2} y={HEIGHT + 18} textAnchor="middle">
        {name}
      </text>
      <text className={classes['footDetail']} x={x + COLUMN / 2} y={HEIGHT + 36} textAnchor="middle">
        {detail}
      </text>
    </g>
  ));
}

interface RangeRulerProps {
  readonly voice: VoiceFile;
  readonly reference: ReferenceRange;
  readonly limits: Limits;
  /** The highest chest-led note, MIDI; null where the voice has none. */
  readonly belt: number | null;
}

/** Reference, measured range, reach and today's limits of a voice, side by side on one pitch scale. */
export function RangeRuler({ voice, reference, limits, belt }: RangeRulerProps): ReactElement {
  const { t } = useTranslation();
  const shapes = layRuler(voice, reference, limits, HEIGHT, belt);
  const span = voiceSpan(voice, reference);
  const date = voice.measured ? shortDayText(voice.measured.date) : t('students.ruler.estimate');
  const words = useWords(shapes, voice, belt);
  const rows = [
    [t('students.ruler.measured'), writeNote(span.low), writeNote(span.high)],
    [t('students.reach'), writeNote(span.reachLow), writeNote(span.reachHigh)],
    [t('students.ruler.today'), writeNote(limits.floor), writeNote(limits.ceiling)],
    ...(belt === null ? [] : [[t('students.belt'), '–', writeNote(belt)]]),
  ];
  return (
    <PictureTable label={t('students.measured')} head={['', t('bench.table.low'), t('bench.table.high')]} rows={rows}>
      <svg viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT + 44)}`} className={classes['ruler']} aria-hidden>
        <defs>
          <pattern id="ruler-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="7" className={classes['hatch']} />
          </pattern>
        </defs>
        <VoiceShapes shapes={shapes} />
        {shapes.labels.map(({ y, text, isToday }) => (
          <text
            key={text}
            className={isToday ? classes['todayNote'] : classes['note']}
            x={USUAL - 14}
            y={y + 5}
            textAnchor="end"
          >
            {text}
          </text>
        ))}
        {words.map(({ look, text }, index) => (
          <text key={text} className={classes[look]} x={WORDS} y={(shapes.wordYs[index] ?? 0) + 4}>
            {text}
          </text>
        ))}
        <Feet type={voice.type} date={date} />
      </svg>
    </PictureTable>
  );
}
