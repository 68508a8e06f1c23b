import '../text/studio-texts.ts';
import { Container } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { Navigate, Outlet, useLocation } from 'react-router';
import { isSignedOut, mayPass } from '../api/problem.ts';
import { sessionQuery } from '../api/session.queries.ts';
import { RunSender } from '../runs/run-sender.tsx';
import { Failure } from '../ui/failure.tsx';
import { Shape } from '../ui/shape.tsx';
import { AwayPlace } from './away-place.tsx';
import { TroubleLines } from './trouble-lines.tsx';
import { usePlaceTitle } from './use-place-title.ts';

/** Shows what is inside to a signed-in teacher; others are asked to sign in and come back here. */
export function SignedInOnly(): ReactElement {
  const session = useQuery(sessionQuery);
  usePlaceTitle();
  const { pathname, search } = useLocation();
  if (session.data) {
    return (
      <>
        <RunSender />
        <TroubleLines />
        <Outlet key={JSON.stringify(session.data.noteNaming)} />
      </>
    );
  }
  if (isSignedOut(session.error)) {
    return <Navigate to={`/enter?to=${encodeURIComponent(pathname + search)}`} replace />;
  }
  if (mayPass(session.failureReason) && session.failureCount > 0)
    return <AwayPlace onRetry={() => void session.refetch()} />;
  return (
    <Container size="lg">
      {session.error ? <Failure error={session.error} onRetry={() => void session.refetch()} /> : <Shape />}
    </Container>
  );
}
