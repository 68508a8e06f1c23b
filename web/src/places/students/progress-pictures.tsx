import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import {
  Bar,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import type { StudentProgress } from '../../api/history.queries.ts';
import { writeNote } from '../../text/note-names.ts';
import { shortDayText } from '../../text/times.ts';
import { decimalText } from '../../text/numbers.ts';
import { TICK, TIP } from '../../ui/chart-look.ts';

const HEIGHT = 230;
const MARGIN = { top: 14, right: 18, bottom: 0, left: 0 };
const grid = <CartesianGrid stroke="var(--line)" strokeDasharray="1 6" vertical={false} />;
/** The days themselves, so that a gap shows as one. */
const dayAxis = (
  <XAxis
    dataKey="at"
    type="number"
    scale="time"
    domain={['dataMin', 'dataMax']}
    tickFormatter={shortDayText}
    tick={TICK}
    stroke="var(--line)"
    minTickGap={40}
  />
);

interface DotProps {
  readonly cx?: number;
  readonly cy?: number;
  readonly payload?: { readonly isOrdinary: boolean };
}

/** A run; hollow where the day was no ordinary one. */
function RunDot({ cx, cy, payload }: DotProps): ReactElement | null {
  if (cx === undefined || cy === undefined) return null;
  const fill = payload?.isOrdinary === false ? 'var(--sheet)' : 'var(--meadow)';
  return <circle cx={cx} cy={cy} r={4} fill={fill} stroke="var(--meadow)" strokeWidth={2} />;
}

interface RangePictureProps {
  readonly ranges: StudentProgress['ranges'];
  /** The top that was measured as comfortable, MIDI. */
  readonly comfortable: number | undefined;
}

/** How high each run went, beside how high it was meant to. */
export function RangePicture({ ranges, comfortable }: RangePictureProps): ReactElement {
  const { t } = useTranslation();
  const data = ranges.map((point) => ({ ...point, at: Date.parse(point.date) }));
  const tops = data.flatMap(({ highest, plannedHighest }) => [
    highest,
    ...(plannedHighest === null ? [] : [plannedHighest]),
  ]);
  const notes = [...tops, ...(comfortable === undefined ? [] : [comfortable])];
  const [low, high] = [Math.min(...notes) - 2, Math.max(...notes) + 2];
  return (
    <ResponsiveContainer width="100%" height={HEIGHT}>
      <ComposedChart data={data} margin={MARGIN}>
        {grid}
        {dayAxis}
        <YAxis
          domain={[low, high]}
          allowDecimals={false}
          tickFormatter={(midi: number) => writeNote(midi)}
          tick={TICK}
          stroke="var(--line)"
          width={46}
        />
        <Tooltip
          {...TIP}
          formatter={(value, name) => [writeNote(Number(value)), name]}
          labelFormatter={(label) => shortDayText(Number(label))}
        />
        {comfortable !== undefined && (
          <ReferenceLine
            y={comfortable}
            stroke="var(--plum-2)"
            strokeDasharray="2 5"
            label={{
              value: t('students.progress.range.comfortable'),
              position: 'insideBottomLeft',
              fill: 'var(--soft)',
              fontSize: 12.5,
            }}
          />
        )}
        <Line
          dataKey="plannedHighest"
          name={t('students.progress.range.planned')}
          stroke="var(--apricot-line)"
          strokeDasharray="5 4"
          strokeWidth={2}
          dot={false}
          isAnimationActive={false}
        />
        <Line
          dataKey="highest"
          name={t('students.progress.range.highest')}
          stroke="var(--meadow)"
          strokeWidth={2.4}
          dot={<RunDot />}
          isAnimationActive={false}
        />
      </ComposedChart>
    </ResponsiveContainer>
  );
}

/** Weighted minutes of each week, with what was usual before it. */
export function LoadPicture({ weeks }: { readonly weeks: StudentProgress['weeks'] }): ReactElement {
  const { t } = useTranslation();
  return (
    <ResponsiveContainer width="100%" height={HEIGHT}>
      <ComposedChart data={weeks} margin={MARGIN}>
        {grid}
        <XAxis
          dataKey="from"
          tickFormatter={(day: string) => shortDayText(day)}
          tick={TICK}
          stroke="var(--line)"
          minTickGap={16}
        />
        <YAxis tick={TICK} stroke="var(--line)" width={46} allowDecimals={false} />
        <Tooltip
          {...TIP}
          formatter={(value, name) => [decimalText(Number(value), 0), name]}
          labelFormatter={(day) => (typeof day === 'string' ? shortDayText(day) : '')}
        />
        <Bar
          dataKey="minutes"
          name={t('students.progress.load.minutes')}
          fill="var(--meadow)"
          radius={[6, 6, 0, 0]}
          maxBarSize={34}
          isAnimationActive={false}
        />
        <Line
          dataKey="usual"
          name={t('students.progress.load.usual')}
          type="step"
          stroke="var(--plum-2)"
          strokeWidth={2}
          strokeDasharray="5 4"
          dot={false}
          isAnimationActive={false}
        />
      </ComposedChart>
    </ResponsiveContainer>
  );
}

/** Of the keys up to each note, how many were marked. */
export function BreakPicture({ notes }: { readonly notes: StudentProgress['notes'] }): ReactElement {
  const { t } = useTranslation();
  const data = notes.map(({ midi, keys, marked }) => ({ note: writeNote(midi), fine: keys - marked, marked }));
  return (
    <ResponsiveContainer width="100%" height={HEIGHT}>
      <ComposedChart data={data} margin={MARGIN}>
        {grid}
        <XAxis dataKey="note" tick={TICK} stroke="var(--line)" minTickGap={4} />
        <YAxis tick={TICK} stroke="var(--line)" width={46} allowDecimals={false} />
        <Tooltip {...TIP} />
        <Bar
          dataKey="marked"
          name={t('students.progress.notes.marked')}
          stackId="keys"
          fill="var(--brick)"
          maxBarSize={30}
          isAnimationActive={false}
        />
        <Bar
          dataKey="fine"
          name={t('students.progress.notes.keys')}
          stackId="keys"
          fill="var(--plum-3)"
          maxBarSize={30}
          isAnimationActive={false}
        />
      </ComposedChart>
    </ResponsiveContainer>
  );
}

interface FigurePictureProps {
  readonly points: readonly { readonly date: string; readonly value: number; readonly isOrdinary?: boolean }[];
  readonly name: string;
  readonly domain: readonly [number, number];
  /** A figure in words. */
  readonly words: (value: number) => string;
  /** Only these stand at the side; left out, a few of the picture's own. */
  readonly ticks?: readonly number[];
}

/** One figure over the days. */
export function FigurePicture({ points, name, domain, words, ticks }: FigurePictureProps): ReactElement {
  const data = points.map((point) => ({ ...point, at: Date.parse(point.date) }));
  return (
    <ResponsiveContainer width="100%" height={HEIGHT}>
      <ComposedChart data={data} margin={MARGIN}>
        {grid}
        {dayAxis}
        <YAxis
          domain={[...domain]}
          allowDecimals={false}
          tick={TICK}
          stroke="var(--line)"
          width={46}
          {...(ticks && { ticks: [...ticks] })}
        />
        <Tooltip
          {...TIP}
          formatter={(value) => [words(Number(value)), name]}
          labelFormatter={(label) => shortDayText(Number(label))}
        />
        <Line
          dataKey="value"
          name={name}
          stroke="var(--meadow)"
          strokeWidth={2.4}
          dot={<RunDot />}
          isAnimationActive={false}
        />
      </ComposedChart>
    </ResponsiveContainer>
  );
}
