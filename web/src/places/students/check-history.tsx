import { useElementSize } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';

import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { rangeChecksQuery } from '../../api/range-checks.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { dayText, shortDayText } from '../../text/times.ts';
import { PictureTable } from '../../ui/picture-table.tsx';
import { layHistory } from './check-history.layout.ts';
import { writeNote } from '../../text/note-names.ts';
import classes from './students.module.css';

const HEIGHT = 190;
const BAR = 26;

/** Range checks over time: what was comfortable, what could be reached, where the voice turned over. */
export function CheckHistory({ today }: { readonly today: StudentToday }): ReactElement | null {
  const { t } = useTranslation();
  const { ref, width } = useElementSize();
  const checks = useQuery(rangeChecksQuery(today.student.id)).data ?? [];
  if (checks.length < 2) return null;
  const columns = layHistory(checks, Math.max(240, width), HEIGHT);
  const head = (['day', 'low', 'high', 'reach', 'way'] as const).map((name) => t(`students.history.${name}`));
  const rows = checks.map(({ day, low, high, reachLow = low, reachHigh = high, way }) => [
    dayText(day),
    writeNote(low),
    writeNote(high),
    `${writeNote(reachLow)} – ${writeNote(reachHigh)}`,
    t(`check.ways.${way as 'keys'}`),
  ]);
  return (
    <section className={classes['block']}>
      <h2>{t('students.history.title')}</h2>
      <PictureTable label={t('students.history.title')} head={head} rows={rows}>
        <div ref={ref}>
          <svg width="100%" height={HEIGHT} className={classes['history']} aria-hidden>
            {columns.map(({ id, x, day, reach, comfortable, high, low, bridges }) => (
              <g key={id}>
                <rect
                  className={classes['historyReach']}
                  x={x - BAR / 2}
                  width={BAR}
                  y={reach.top}
                  height={reach.bottom - reach.top}
                  rx="9"
                />
                <rect
                  className={classes['historyComfortable']}
                  x={x - BAR / 2}
                  width={BAR}
                  y={comfortable.top}
                  height={comfortable.bottom - comfortable.top}
                  rx="9"
                />
                {bridges.map((y) => (
                  <line key={y} className={classes['historyBridge']} x1={x - BAR / 2} x2={x + BAR / 2} y1={y} y2={y} />
                ))}
                <text x={x + BAR / 2 + 5} y={comfortable.top + 9}>
                  {high}
                </text>
                <text x={x + BAR / 2 + 5} y={comfortable.bottom}>
                  {low}
                </text>
                <text className={classes['historyDay']} x={x} y={HEIGHT - 12} textAnchor="middle">
                  {shortDayText(day)}
                </text>
              </g>
            ))}
          </svg>
        </div>
      </PictureTable>
    </section>
  );
}
