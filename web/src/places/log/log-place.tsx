import { Title } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { studentsQuery } from '../../api/students.queries.ts';
import { useStudentInHand } from '../../shell/student-in-hand.ts';
import { useShown } from '../../shell/use-shown.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { LogFilters } from './log-filters.tsx';
import { LockList } from './lock-list.tsx';
import { RunChart } from './run-chart.tsx';
import { RunTable } from './run-table.tsx';
import { useRuns } from './use-runs.ts';
import { ALL, useSought } from './use-sought.ts';
import classes from './log.module.css';

/** Milliseconds without a letter before the log is asked. */
const SEARCH_DELAY_MS = 200;

/** What was really sung: a picture for one student, a list for all. */
export function LogPlace(): ReactElement {
  const { t } = useTranslation();
  const { seek, mark, place, ...sought } = useSought();
  const inHand = useStudentInHand();
  const { isShared, mayShow } = useShown();
  const students = (useQuery(studentsQuery).data ?? []).filter(({ id }) => mayShow(id));
  // On a shared screen only the student in hand is shown, and so is theirs.
  const asked = sought.student ?? (isShared ? inHand?.id : undefined) ?? ALL;
  const studentId = students.some(({ id }) => id === asked) ? asked : undefined;
  const [words] = useDebouncedValue(sought.words.trim(), SEARCH_DELAY_MS);
  const logged = useRuns({ studentId, words, mark, place });
  const isSought = words !== '' || mark !== undefined || place !== undefined;
  const { runs, error, retry } = logged;
  if (error && !runs) return <Failure error={error} onRetry={retry} />;
  return (
    <>
      <div className={classes['heading']}>
        <Title order={1} fz={32}>
          {t('log.heading')}
        </Title>
        <LogFilters
          students={students}
          studentId={studentId}
          words={sought.words}
          mark={mark}
          place={place}
          onSeek={seek}
        />
      </div>
      {!runs && <Shape rows={8} height={36} />}
      {runs?.length === 0 && <p role="status">{t(isSought ? 'log.nothing' : 'log.empty')}</p>}
      {runs && runs.length > 0 && (
        <>
          {studentId !== undefined && !isSought && <RunChart runs={runs} />}
          <RunTable {...logged} />
        </>
      )}
      {studentId !== undefined && !isShared && <LockList studentId={studentId} />}
    </>
  );
}
