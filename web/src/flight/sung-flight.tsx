import { writeNote } from '../text/note-names.ts';
import type { KeyOutcome, Mark } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { pitchScale } from './pitch-scale.ts';
import classes from './sung-flight.module.css';

/** One key as it was sung. Pitches MIDI. */
interface SungBar {
  readonly id: string;
  readonly stepId: string;
  readonly low: number;
  readonly high: number;
  readonly outcome: KeyOutcome;
  readonly marks: readonly Mark[];
}

interface SungFlightProps {
  readonly keys: readonly SungBar[];
  /** Lowest and highest note of the picture, MIDI, so that two runs stand on one scale. */
  readonly span: { readonly low: number; readonly high: number };
  readonly label: string;
}

const WIDTH = 400;
const HEIGHT = 150;
const LEFT = 34;
const ROOM = 14;
/** Between steps there is as much room as half a key takes. */
const GAP = 0.5;

/** Each key and where it stands, in widths of a key. */
function placedKeys(keys: readonly SungBar[]): readonly { readonly key: SungBar; readonly at: number }[] {
  const steps = keys.map(({ stepId }) => stepId);
  return keys.map((key, index) => {
    const before = steps.slice(0, index + 1).filter((stepId, at) => at > 0 && stepId !== steps[at - 1]).length;
    return { key, at: index + before * GAP };
  });
}

/** A run key by key, in the order it was sung: how far each reached, with a dot over those that were marked. */
export function SungFlight({ keys, span, label }: SungFlightProps): ReactElement {
  const { t } = useTranslation();
  const { y } = pitchScale(span.low, span.high, ROOM, HEIGHT - ROOM);
  const placed = placedKeys(keys);
  const each = Math.min(18, (WIDTH - LEFT) / ((placed.at(-1)?.at ?? 0) + 1));
  const troubled = keys.filter(({ marks }) => marks.some((mark) => mark !== 'easy'));
  return (
    <svg
      className={classes['flight']}
      viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`}
      role="img"
      aria-label={t('piano.flightWords', {
        label,
        low: writeNote(span.low),
        high: writeNote(span.high),
        count: keys.length,
        marked: troubled.length,
      })}
    >
      {[span.high, span.low].map((midi) => (
        <g key={midi}>
          <line className={classes['line']} x1={LEFT} x2={WIDTH} y1={y(midi)} y2={y(midi)} />
          <text className={classes['note']} x={LEFT - 6} y={y(midi) + 4} textAnchor="end">
            {writeNote(midi)}
          </text>
        </g>
      ))}
      {placed.map(({ key, at: place }) => {
        const x = LEFT + place * each;
        const isTroubled = troubled.includes(key);
        return (
          <g key={key.id} data-outcome={key.outcome} className={classes['key']} data-marked={isTroubled}>
            <rect
              x={x + 1}
              width={Math.max(1.5, each - 2)}
              y={y(key.high)}
              height={Math.max(3, y(key.low) - y(key.high))}
              rx={2}
            />
            {isTroubled && <circle cx={x + each / 2} cy={y(key.high) - 6} r={3.5} />}
          </g>
        );
      })}
    </svg>
  );
}
