import { useElementSize } from '@mantine/hooks';
import type { LaidRoutine, Severity, VoiceFile } from '@soft-lark/core';
import { memo, useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { clockText } from '../text/times.ts';
import { PictureTable } from '../ui/picture-table.tsx';
import { layFlight, type FlightShapes } from './flight.layout.ts';
import { writeNote } from '../text/note-names.ts';
import classes from './flight.module.css';

interface FlightProps {
  readonly routine: LaidRoutine;
  readonly voice: VoiceFile;
  readonly budgetSeconds: number;
  readonly chosenId: string | undefined;
  /** Steps the review has something to say about. */
  readonly marked?: ReadonlyMap<string, Severity>;
  readonly onChoose: (stepId: string) => void;
}

const HEIGHT = 248;

function Ground({ shapes }: { readonly shapes: FlightShapes }): ReactElement {
  const { t } = useTranslation();
  const { left, right, comfortable, stretches, bridges, pitchLabels, ground, ticks, load } = shapes;
  return (
    <g>
      <defs>
        <pattern id="flight-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" className={classes['hatch']} />
        </pattern>
      </defs>
      <rect
        className={classes['comfortable']}
        x={left + 26}
        y={comfortable.top}
        width={right - left - 26}
        height={Math.max(0, comfortable.bottom - comfortable.top)}
        rx="10"
      />
      {stretches.map(({ top, bottom, side }) => (
        <g key={side}>
          <rect x={left + 26} y={top} width={right - left - 26} height={bottom - top} fill="url(#flight-hatch)" />
          {side === 'over' && bottom - top > 9 && (
            <text className={classes['stretch']} x={right - 8} y={(top + bottom) / 2 + 4} textAnchor="end">
              {t('bench.stretch')}
            </text>
          )}
        </g>
      ))}
      {bridges.map(({ y }) => (
        <g key={y}>
          <line className={classes['bridge']} x1={left + 26} x2={right} y1={y} y2={y} />
          <text className={classes['bridgeWord']} x={right - 8} y={y - 6} textAnchor="end">
            {t('bench.bridge')}
          </text>
        </g>
      ))}
      {pitchLabels.map(({ y, text, isLimit }) => (
        <text
          key={text}
          className={isLimit ? classes['limit'] : classes['pitch']}
          x={left + 16}
          y={y + 4.5}
          textAnchor="end"
        >
          {text}
        </text>
      ))}
      <path className={classes['load']} d={load} />
      {ticks.map(({ x, minutes }) => (
        <text key={minutes} className={classes['tick']} x={x} y={ground + 56} textAnchor="middle">
          {minutes === 0 ? '0' : t('bench.minutesAxis', { count: minutes })}
        </text>
      ))}
    </g>
  );
}

interface StepsProps extends Pick<FlightProps, 'chosenId' | 'onChoose'> {
  readonly shapes: FlightShapes;
}

/** Ribbons, names and marks of the steps; a press on any of them chooses the step. */
function Steps({ shapes, chosenId, onChoose }: StepsProps): ReactElement {
  return (
    <>
      {shapes.ribbons.map(({ stepId, tint, outline, tunes }) => (
        <g
          key={stepId}
          className={classes['step']}
          data-chosen={stepId === chosenId}
          data-tint={tint}
          onClick={() => {
            onChoose(stepId);
          }}
        >
          {outline && <path className={classes['ribbon']} d={outline} />}
          {!outline && <path className={classes['glideBody']} d={tunes[0]} />}
          {tunes.map((tune, index) => (
            <path key={index} className={classes['tune']} d={tune} />
          ))}
        </g>
      ))}
      {shapes.labels.map(({ stepId, x, width: room, text, isPebble, isLeftOut }) => (
        <g
          key={stepId}
          className={classes['label']}
          data-chosen={stepId === chosenId}
          data-left-out={isLeftOut}
          onClick={() => {
            onChoose(stepId);
          }}
        >
          {isPebble && (
            <rect
              className={classes['pebble']}
              x={x - room / 2}
              y={shapes.ground - 6}
              width={room}
              height={20}
              rx="10"
            />
          )}
          <text x={x} y={shapes.ground + 8.5} textAnchor="middle">
            {text}
          </text>
        </g>
      ))}
      {shapes.marks.map(({ stepId, severity, x, y, shape }) => (
        <path
          key={stepId}
          className={classes['mark']}
          data-severity={severity}
          d={shape}
          transform={`translate(${String(x)} ${String(y)})`}
          onClick={() => {
            onChoose(stepId);
          }}
        />
      ))}
    </>
  );
}

/** The flight as a table. */
function useTable(
  routine: LaidRoutine,
  marked: FlightProps['marked'],
): { readonly head: readonly string[]; readonly rows: readonly (readonly (string | number)[])[] } {
  const { t } = useTranslation();
  const rows = routine.steps.map((step) => [
    step.exercise.name,
    clockText(step.startsAt),
    clockText(step.seconds),
    step.lowest === null ? '–' : writeNote(step.lowest),
    step.highest === null ? '–' : writeNote(step.highest),
    step.exercise.load,
    marked?.has(step.id) ? t(`bench.think.severity.${marked.get(step.id) ?? 'note'}`) : '',
  ]);
  const head = (['step', 'starts', 'length', 'low', 'high', 'load', 'review'] as const).map((name) =>
    t(`bench.table.${name}`),
  );
  return { head, rows };
}

/** The signature picture: every step of a routine as a ribbon over the minutes, on the student's own scale of notes. */
export const Flight = memo(function Flight({
  routine,
  voice,
  budgetSeconds,
  chosenId,
  marked,
  onChoose,
}: FlightProps): ReactElement {
  const { t } = useTranslation();
  const { ref, width } = useElementSize();
  const shapes = useMemo(
    () =>
      layFlight({
        routine,
        voice,
        budgetSeconds,
        width: Math.max(320, width),
        height: HEIGHT,
        ...(marked && { marked }),
      }),
    [routine, voice, budgetSeconds, marked, width],
  );
  const { head, rows } = useTable(routine, marked);
  return (
    <PictureTable label={t('bench.flight')} head={head} rows={rows} isOver>
      <div ref={ref} className={classes['frame']}>
        <svg
          width={shapes.width}
          height={HEIGHT}
          viewBox={`0 0 ${String(shapes.width)} ${String(HEIGHT)}`}
          aria-hidden
          data-testid="flight"
        >
          <Ground shapes={shapes} />
          <Steps shapes={shapes} chosenId={chosenId} onChoose={onChoose} />
          <line className={classes['end']} x1={shapes.end.x} x2={shapes.end.x} y1={14} y2={shapes.ground - 12} />
          <text className={classes['endTime']} x={shapes.end.x - 6} y={14} textAnchor="end">
            {clockText(shapes.end.seconds)}
          </text>
        </svg>
      </div>
    </PictureTable>
  );
});
