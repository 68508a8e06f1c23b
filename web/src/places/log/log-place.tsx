import { Select, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { studentsQuery } from '../../api/students.queries.ts';
import { useStudentInHand } from '../../shell/student-in-hand.ts';
import { useShown } from '../../shell/use-shown.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { LockList } from './lock-list.tsx';
import { RunChart } from './run-chart.tsx';
import { RunTable } from './run-table.tsx';
import { useRuns } from './use-runs.ts';
import classes from './log.module.css';

const ALL = 'all';

/** What was really sung: a picture for one student, a list for all. */
export function LogPlace(): ReactElement {
  const { t } = useTranslation();
  const [address, setAddress] = useSearchParams();
  const inHand = useStudentInHand();
  const { isShared, mayShow } = useShown();
  const students = (useQuery(studentsQuery).data ?? []).filter(({ id }) => mayShow(id));
  // On a shared screen only the student in hand is shown, and so is theirs.
  const asked = address.get('student') ?? (isShared ? inHand?.id : undefined) ?? ALL;
  const studentId = students.some(({ id }) => id === asked) ? asked : undefined;
  const logged = useRuns(studentId);
  const { runs, error, retry } = logged;
  if (error && !runs) return <Failure error={error} onRetry={retry} />;
  return (
    <>
      <div className={classes['heading']}>
        <Title order={1} fz={32}>
          {t('log.heading')}
        </Title>
        <Select
          aria-label={t('log.headers.student')}
          w={220}
          data={[{ value: ALL, label: t('log.all') }, ...students.map(({ id, name }) => ({ value: id, label: name }))]}
          value={studentId ?? ALL}
          onChange={(student) => {
            setAddress({ student: student ?? ALL }, { replace: true });
          }}
        />
      </div>
      {!runs && <Shape rows={8} height={36} />}
      {runs?.length === 0 && <p>{t('log.empty')}</p>}
      {runs && runs.length > 0 && (
        <>
          {studentId !== undefined && <RunChart runs={runs} />}
          <RunTable {...logged} />
        </>
      )}
      {studentId !== undefined && !isShared && <LockList studentId={studentId} />}
    </>
  );
}
