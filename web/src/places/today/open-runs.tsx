import { Button } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { studentsQuery } from '../../api/students.queries.ts';
import { useShown } from '../../shell/use-shown.ts';
import { momentText } from '../../text/times.ts';
import { endRun, useKeptRuns } from '../../runs/run-store.ts';
import classes from './today.module.css';

/** Runs that were broken off on this device: go on, or end them where they stand. */
export function OpenRuns(): ReactElement {
  const { t } = useTranslation();
  const students = useQuery(studentsQuery).data ?? [];
  const { mayShow } = useShown();
  const open = useKeptRuns().filter(
    (run) => run.endedAt === undefined && students.some(({ id }) => id === run.studentId) && mayShow(run.studentId),
  );
  return (
    <>
      {open.map((run) => (
        <div key={run.id} className={classes['open']} role="status">
          <p>
            {t('today.goOn', {
              student: students.find(({ id }) => id === run.studentId)?.name ?? '',
              routine: run.routineName,
              when: momentText(run.startedAt),
            })}
          </p>
          <Button component={Link} to={`/sing/${run.routineId}`} variant="filled">
            {t('today.goOnButton')}
          </Button>
          <Button
            onClick={() => {
              endRun(run.id, new Date());
            }}
          >
            {t('today.endIt')}
          </Button>
        </div>
      ))}
    </>
  );
}
