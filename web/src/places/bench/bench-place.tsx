import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { routineQuery } from '../../api/routines.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { studentTodayQuery } from '../../api/students.queries.ts';
import { useTakeInHand } from '../../shell/student-in-hand.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { Bench } from './bench.tsx';

/** One routine for one student. */
export function BenchPlace(): ReactElement {
  const { t } = useTranslation();
  const { routineId = '' } = useParams();
  const routine = useQuery({ ...routineQuery(routineId), refetchOnWindowFocus: 'always' });
  const studentId = routine.data?.studentId ?? '';
  const today = useQuery({ ...studentTodayQuery(studentId), enabled: studentId !== '' });
  const shelf = useQuery(shelfQuery);
  useTakeInHand(today.data?.student.id);
  if (routine.error && !routine.data) return <Failure error={routine.error} onRetry={() => void routine.refetch()} />;
  if (today.error && !today.data) return <Failure error={new Error(t('bench.noStudent'))} />;
  if (!routine.data || !today.data || !shelf.data) return <Shape rows={3} height={180} />;
  return <Bench key={routineId} routine={routine.data} today={today.data} shelf={shelf.data} />;
}
