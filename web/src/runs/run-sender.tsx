import { notifications } from '@mantine/notifications';
import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { isSignedOut, mayPass } from '../api/problem.ts';
import { runQuery, sendRun, type RunDetail } from '../api/runs.queries.ts';
import { markSignedOut } from '../api/signed-out.ts';
import { sendHomeRun } from '../api/home.queries.ts';
import { sendable, sendableFromHome, sentRun, useKeptRuns, type KeptRun } from './run-store.ts';
import { errorText, refusalOf } from '../text/say.ts';

const TRY_AGAIN_MS = 2500;

const TOLD_OF_RUNS = [['runs'], ['today'], ['students']];

/** What the server has now is shown wherever runs are: a first reading that began before the sending is not waited for. */
async function show(run: RunDetail, queries: QueryClient): Promise<void> {
  await Promise.all(TOLD_OF_RUNS.map((queryKey) => queries.cancelQueries({ queryKey })));
  queries.setQueryData(runQuery(run.id).queryKey, run);
  await Promise.all(TOLD_OF_RUNS.map((queryKey) => queries.invalidateQueries({ queryKey })));
}

/** Sends one run where it belongs: by the link it was practised by, or as the teacher’s. */
async function sendWhereItBelongs(run: KeptRun): Promise<RunDetail | null> {
  if (run.homeToken === undefined) return sendRun(run.id, sendable(run));
  await sendHomeRun(run.homeToken, run.id, sendableFromHome(run));
  return null;
}

interface RunSenderProps {
  /** Sends what was practised by this link, and nothing else; left out what was sung in lessons. */
  readonly homeToken?: string;
}

/** Sends what is sung to the server, run by run, again and again until it is there. Shows nothing. */
export function RunSender({ homeToken }: RunSenderProps): null {
  const runs = useKeptRuns(homeToken);
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
    const { sung, sungBefore = 0 } = sendableFromHome(next);
    sendWhereItBelongs(next)
      .then((run) => {
        isBusy.current = false;
        sentRun(id, revision, sungBefore + sung.length);
        if (run && (isClosed || endedAt !== undefined)) void show(run, queries);
      })
      .catch((error: unknown) => {
        isBusy.current = false;
        if (isSignedOut(error)) markSignedOut();
        const canWait = mayPass(error) || isSignedOut(error);
        if (!canWait) {
          setRefused((known) => new Set([...known, `${id}@${String(revision)}`]));
          notifications.show({ message: errorText(refusalOf(error)), color: 'brick' });
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
