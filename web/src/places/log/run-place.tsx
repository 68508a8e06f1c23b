import { Anchor, Button, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useParams } from 'react-router';
import { runQuery, type RunDetail } from '../../api/runs.queries.ts';
import { ApiProblem } from '../../api/problem.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { Failure } from '../../ui/failure.tsx';
import { clockText, momentText } from '../../text/times.ts';
import { Shape } from '../../ui/shape.tsx';
import { useKeptRuns } from '../../runs/run-store.ts';
import { writeNote } from '../../text/note-names.ts';
import { useShown } from '../../shell/use-shown.ts';
import { CorrectRun } from './correct-run.tsx';
import { Corrections } from './corrections.tsx';
import { keysWords } from './keys-words.ts';
import { besidePlan, nameIn, RunSteps, sungIn, type Sung } from './run-steps.tsx';
import classes from './log.module.css';

/** Time at the piano, breaks and all, beside what was planned. */
function tookSeconds({ startedAt, endedAt }: RunDetail): number | null {
  return endedAt === null ? null : (Date.parse(endedAt) - Date.parse(startedAt)) / 1000;
}

/** When it was, what was sung, how easy it was and how long it took, in a line. */
function RunFacts({ run }: { readonly run: RunDetail }): ReactElement {
  const { t } = useTranslation();
  const { lowest, highest } = run;
  const took = tookSeconds(run);
  return (
    <p className={classes['facts']}>
      {momentText(run.startedAt)} · {keysWords(run, t)}
      {lowest !== null && highest !== null && ` · ${writeNote(lowest)} – ${writeNote(highest)}`}
      {run.ease !== null && ` · ${t('log.easeOf', { ease: run.ease })}`}
      {` · ${t('log.sungAs', {
        conditions: run.conditions.map((name) => t(`conditions.${name}`).toLowerCase()).join(', ') || t('piano.fine'),
      })}`}
      {took !== null &&
        ` · ${t('log.took', {
          took: clockText(took),
          planned: clockText(run.plan.reduce((sum, { seconds }) => sum + seconds, 0)),
        })}`}
      {run.atHome && ` · ${t('log.atHome')}`}
      {run.endedAt === null && ` · ${t('log.open')}`}
    </p>
  );
}

/** One run, key by key: the plan as it stood, and what was really sung. */
export function RunPlace(): ReactElement {
  const { t } = useTranslation();
  const { runId = '' } = useParams();
  const { isShared } = useShown();
  const [isCorrecting, setCorrecting] = useState(false);
  const kept = useKeptRuns().some(({ id }) => id === runId);
  const query = useQuery({
    ...runQuery(runId),
    retry: (count, error) => (kept || !(error instanceof ApiProblem)) && count < 200,
    retryDelay: 800,
  });
  const run = query.data;
  const shelf = useQuery(shelfQuery).data;
  if (query.error && !run) return <Failure error={query.error} onRetry={() => void query.refetch()} />;
  if (!run)
    return (
      <>
        {kept && <p>{t('piano.kept')}</p>}
        <Shape rows={6} height={52} />
      </>
    );
  const beside = besidePlan(run, shelf);
  const kindOf = new Map(
    [...run.plan, ...beside].map(({ stepId, exerciseId, kind }) => [`${stepId} ${exerciseId}`, kind]),
  );
  const nameOf = (key: Sung): string => nameIn(kindOf.get(`${key.stepId} ${key.exerciseId}`) ?? 'pattern', key);
  return (
    <>
      <Anchor component={Link} to={`/log?student=${run.studentId}`} className={classes['back'] ?? ''}>
        ← {t('log.back')}
      </Anchor>
      <Title order={1} fz={32}>
        <bdi>{run.studentName}</bdi>, {run.routineName}
      </Title>
      <RunFacts run={run} />
      {run.note && <blockquote className={classes['quote']}>{run.note}</blockquote>}
      {!isCorrecting && run.endedAt !== null && !isShared && (
        <Button
          size="sm"
          onClick={() => {
            setCorrecting(true);
          }}
        >
          {t('log.correct.open')}
        </Button>
      )}
      <Corrections run={run} nameOf={nameOf} />
      {isCorrecting ? (
        <CorrectRun
          run={run}
          nameOf={nameOf}
          steps={[...run.plan, ...beside]
            .map((step) => ({
              id: `${step.stepId} ${step.exerciseId}`,
              name: step.name,
              sung: sungIn(run, step),
            }))
            .filter(({ sung }) => sung.length > 0)}
          onDone={() => {
            setCorrecting(false);
          }}
        />
      ) : (
        <RunSteps run={run} beside={beside} shelf={shelf} />
      )}
    </>
  );
}
