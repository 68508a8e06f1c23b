import { Container } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, type ReactElement } from 'react';
import { useParams } from 'react-router';
import { routineQuery } from '../../api/routines.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { studentTodayQuery } from '../../api/students.queries.ts';
import { useTakeInHand } from '../../shell/student-in-hand.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { ClosingCard } from './closing-card.tsx';
import { Gate } from './gate.tsx';
import { RunScreen } from './run-screen.tsx';
import { useKeptRuns } from '../../runs/run-store.ts';

/** At the piano: the gate, the run, the closing card. */
export function PianoPlace(): ReactElement {
  const { routineId = '' } = useParams();
  const [runId, setRunId] = useState<string | null>(null);
  const routine = useQuery(routineQuery(routineId));
  const studentId = routine.data?.studentId ?? '';
  const today = useQuery({ ...studentTodayQuery(studentId), enabled: studentId !== '' });
  const shelf = useQuery(shelfQuery);
  const runs = useKeptRuns();
  useTakeInHand(today.data?.student.id);
  // The log is gone to after the last note, and the connection may be lost by then.
  useEffect(() => {
    void import('../log/run-place.tsx');
  }, []);
  // The gate was scrolled down to its last button; a run begins at its head.
  useEffect(() => {
    window.scrollTo(0, 0);
  }, [runId]);
  const error = routine.data ? (today.data ? shelf.error : today.error) : routine.error;
  if (error && !(routine.data && today.data && shelf.data))
    return <Failure error={error} onRetry={() => void routine.refetch()} />;
  if (!routine.data || !today.data || !shelf.data) {
    return (
      <Container size="lg">
        <Shape rows={2} height={200} />
      </Container>
    );
  }
  const run = runs.find(({ id }) => id === runId);
  const broken = runs.find((kept) => kept.routineId === routineId && kept.endedAt === undefined);
  if (!run)
    return <Gate routine={routine.data} today={today.data} shelf={shelf.data} broken={broken} onBegin={setRunId} />;
  if (run.state.phase === 'finished')
    return <ClosingCard run={run} routine={routine.data} student={today.data.student} />;
  return <RunScreen run={run} routine={routine.data} today={today.data} shelf={shelf.data} />;
}
