import { notifications } from '@mantine/notifications';
import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { isSignedOut, mayPass } from '../api/problem.ts';
import { runQuery, sendRun, type RunDetail } from '../api/runs.queries.ts';
import { markSignedOut } from '../api/signed-out.ts';
import { sendable, sentRun, useKeptRuns } from './run-store.ts';

const TRY_AGAIN_MS = 2500;

const TOLD_OF_RUNS = [['runs'], ['today'], ['students']];

/** What the server has now is shown wherever runs are: a first reading that began before the sending is not waited for. */
async function show(run: RunDetail, queries: QueryClient): Promise<void> {
  await Promise.all(TOLD_OF_RUNS.map((queryKey) => queries.cancelQueries({ queryKey })));
  queries.setQueryData(runQuery(run.id).queryKey, run);
  await Promise.all(TOLD_OF_RUNS.map((queryKey) => queries.invalidateQueries({ queryKey })));
}

/** Sends what is sung to the server, run by run, again and again until it is there. Shows nothing. */
export function RunSender(): null {
  const runs = useKeptRuns();
  const queries = useQueryClient();
  const isBusy = useRef(false);
  const [refused, setRefused] = useState<ReadonlySet<string>>(new Set());
  const [again, setAgain] = useState(0);
  const next = runs.find((run) => run.revision > run.sentRevision && !refused.has(`${run.id}@${String(run.revision)}`));

  useEffect(() => {
    if (!next || isBusy.current) return undefined;
    isBusy.current = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const { id, revision, isClosed, endedAt } = next;
    const sent = sendable(next);
    sendRun(id, sent)
      .then((run) => {
        isBusy.current = false;
        sentRun(id, revision, (sent.sungBefore ?? 0) + sent.sung.length);
        if (isClosed || endedAt !== undefined) void show(run, queries);
      })
      .catch((error: unknown) => {
        isBusy.current = false;
        if (isSignedOut(error)) markSignedOut();
        const canWait = mayPass(error) || isSignedOut(error);
        if (!canWait) {
          setRefused((known) => new Set([...known, `${id}@${String(revision)}`]));
          notifications.show({ message: error instanceof Error ? error.message : String(error), color: 'brick' });
        }
        timer = setTimeout(() => {
          setAgain((count) => count + 1);
        }, TRY_AGAIN_MS);
      });
    return () => {
      clearTimeout(timer);
    };
  }, [next, again, queries]);

  return null;
}
