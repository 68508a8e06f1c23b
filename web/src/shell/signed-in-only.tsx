import { Container } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Navigate, Outlet, useLocation } from 'react-router';
import { ApiProblem } from '../api/problem.ts';
import { sessionQuery } from '../api/session.queries.ts';
import { RunSender } from '../runs/run-sender.tsx';
import { Failure } from '../ui/failure.tsx';
import { Shape } from '../ui/shape.tsx';

/** Shows what is inside to a signed-in teacher; others are asked to sign in and come back here. */
export function SignedInOnly(): ReactElement {
  const session = useQuery(sessionQuery);
  const { pathname, search } = useLocation();
  if (session.data) {
    return (
      <>
        <RunSender />
        <Outlet key={JSON.stringify(session.data.noteNaming)} />
      </>
    );
  }
  if (session.error instanceof ApiProblem && session.error.code === 'SIGNED_OUT') {
    return <Navigate to={`/enter?to=${encodeURIComponent(pathname + search)}`} replace />;
  }
  return (
    <Container size="lg">
      {session.error ? <Failure error={session.error} onRetry={() => void session.refetch()} /> : <Shape />}
    </Container>
  );
}
