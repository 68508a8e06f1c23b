import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { latestRunsQuery, runQuery } from '../../api/runs.queries.ts';
import { SungFlight } from '../../flight/sung-flight.tsx';
import type { KeptRun } from '../../runs/run-store.ts';
import { dayText } from '../../text/times.ts';
import classes from './gate.module.css';

/** So many runs back the last one of the same routine is looked for. */
const LOOKED_BACK = 12;

/** The run as it was sung, and beside it the last one of the same routine, on one scale. */
export function FlightAsSung({ run }: { readonly run: KeptRun }): ReactElement | null {
  const { t } = useTranslation();
  const latest = useQuery(latestRunsQuery(run.studentId, LOOKED_BACK)).data ?? [];
  const before = latest.find(
    ({ id, routineId, sungKeys }) => id !== run.id && routineId === run.routineId && sungKeys > 0,
  );
  const last = useQuery({ ...runQuery(before?.id ?? ''), enabled: before !== undefined }).data;
  const { sung } = run.state;
  if (sung.length === 0) return null;
  const all = [...sung, ...(last?.sung ?? [])];
  const span = { low: Math.min(...all.map(({ low }) => low)), high: Math.max(...all.map(({ high }) => high)) };
  return (
    <div className={classes['flights']}>
      <figure>
        <figcaption>{t('piano.flightToday')}</figcaption>
        <SungFlight keys={sung} span={span} label={t('piano.flightToday')} />
      </figure>
      {last && (
        <figure>
          <figcaption>{t('piano.flightLast', { day: dayText(last.startedAt) })}</figcaption>
          <SungFlight keys={last.sung} span={span} label={t('piano.flightLast', { day: dayText(last.startedAt) })} />
        </figure>
      )}
    </div>
  );
}
