import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Area, CartesianGrid, ComposedChart, Line, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { RunSummary } from '../../api/runs.queries.ts';
import { momentText, shortDayText } from '../../text/times.ts';
import { TICK, TIP } from '../../ui/chart-look.ts';
import { PictureTable } from '../../ui/picture-table.tsx';
import { writeNote } from '../../text/note-names.ts';

const HEIGHT = 230;

interface Sung {
  readonly at: number;
  readonly lowest: number;
  readonly highest: number;
  readonly band: readonly [number, number];
}

/** Runs in which something was sung, oldest first. */
function dataOf(runs: readonly RunSummary[]): readonly Sung[] {
  return runs
    .flatMap(({ startedAt, lowest, highest }) =>
      lowest === null || highest === null
        ? []
        : [{ at: Date.parse(startedAt), lowest, highest, band: [lowest, highest] as const }],
    )
    .reverse();
}

/** Only the notes that mean something: how low and how high it went at most and at least. */
function tellingNotes(data: readonly Sung[]): number[] {
  const lows = data.map(({ lowest }) => lowest);
  const highs = data.map(({ highest }) => highest);
  const wanted = [Math.min(...lows), Math.max(...highs), Math.max(...lows), Math.min(...highs)];
  return wanted.filter((note, index) => wanted.slice(0, index).every((other) => Math.abs(other - note) > 1));
}

/** Lowest and highest note sung over the days, oldest first: weeks without a run show as such. */
export function RunChart({ runs }: { readonly runs: readonly RunSummary[] }): ReactElement | null {
  const { t } = useTranslation();
  const data = dataOf(runs);
  if (data.length < 2) return <p>{t('log.chartNeedsTwo')}</p>;
  const ticks = tellingNotes(data);
  const low = Math.min(...data.map(({ lowest }) => lowest)) - 2;
  const high = Math.max(...data.map(({ highest }) => highest)) + 2;
  return (
    <PictureTable
      label={t('log.chart')}
      head={[t('log.headers.when'), t('log.lowest'), t('log.highest')]}
      rows={data.map(({ at, lowest, highest }) => [momentText(at), writeNote(lowest), writeNote(highest)])}
    >
      <div data-testid="run-chart">
        <ResponsiveContainer width="100%" height={HEIGHT}>
          <ComposedChart data={data} margin={{ top: 12, right: 16, bottom: 0, left: 0 }}>
            <CartesianGrid stroke="var(--line)" strokeDasharray="1 6" vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              scale="time"
              domain={['dataMin', 'dataMax']}
              ticks={data.map(({ at }) => at)}
              tickFormatter={shortDayText}
              tick={TICK}
              stroke="var(--line)"
              minTickGap={36}
            />
            <YAxis
              domain={[low, high]}
              tickFormatter={(midi: number) => writeNote(midi)}
              tick={TICK}
              stroke="var(--line)"
              width={46}
              ticks={ticks}
              interval={0}
            />
            <Tooltip
              formatter={(value, name) =>
                Array.isArray(value)
                  ? [value.map((note) => writeNote(Number(note))).join(' – '), '']
                  : [writeNote(Number(value)), name]
              }
              labelFormatter={(label) => momentText(Number(label))}
              {...TIP}
            />
            <Area
              dataKey="band"
              stroke="none"
              fill="var(--meadow-pale)"
              fillOpacity={0.8}
              isAnimationActive={false}
              tooltipType="none"
            />
            <Line
              dataKey="highest"
              name={t('log.highest')}
              stroke="var(--meadow)"
              strokeWidth={2.4}
              dot={{ r: 3.4, fill: 'var(--meadow)', strokeWidth: 0 }}
              isAnimationActive={false}
            />
            <Line
              dataKey="lowest"
              name={t('log.lowest')}
              stroke="var(--meadow)"
              strokeWidth={2.4}
              strokeDasharray="5 4"
              dot={{ r: 3.4, fill: 'var(--sheet)', stroke: 'var(--meadow)', strokeDasharray: '0' }}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </PictureTable>
  );
}
