import { Anchor, Button, Group } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { v7 } from 'uuid';
import { routinesQuery, type Routine } from '../../api/routines.queries.ts';
import { useNewRoutine } from '../../api/use-new-routine.ts';
import type { KeptRun } from '../../runs/run-store.ts';
import { dayText } from '../../text/times.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import classes from './gate.module.css';

const LEAST_MINUTES = 5;

interface GoesHomeProps {
  readonly run: KeptRun;
  readonly routine: Routine;
}

/** The steps of a routine in which something was sung or done, as they stand in it. */
function stepsDone({ state }: KeptRun, { steps }: Routine): Routine['steps'] {
  const done = new Set([
    ...state.sung.flatMap(({ stepId, outcome }) => (outcome === 'sung' ? [stepId] : [])),
    ...(state.results ?? []).flatMap(({ stepId, outcome }) => (outcome === 'passed-over' ? [] : [stepId])),
  ]);
  return steps.filter(({ id }) => done.has(id));
}

function minutesOf({ plan }: KeptRun, steps: Routine['steps']): number {
  const ids = new Set(steps.map(({ id }) => id));
  const seconds = plan.reduce((sum, step) => sum + (ids.has(step.stepId) ? step.seconds : 0), 0);
  return Math.max(LEAST_MINUTES, Math.round(seconds / 60));
}

/** What the student takes home: what is meant for it already, and what was sung today, made into it with a press. */
export function GoesHome({ run, routine }: GoesHomeProps): ReactElement | null {
  const { t } = useTranslation();
  const { studentId } = run;
  const own = useQuery(routinesQuery()).data ?? [];
  const meant = own.filter((one) => one.studentId === studentId && one.kind === 'home' && one.groupId === undefined);
  const made = useNewRoutine();
  const steps = stepsDone(run, routine);
  const mayMake = steps.length > 0 && routine.kind !== 'home' && !made.data;
  const homework = made.data && !meant.some(({ id }) => id === made.data.id) ? [made.data, ...meant] : meant;
  if (homework.length === 0 && !mayMake) return null;
  return (
    <section className={classes['question']} data-narrow aria-label={t('piano.goesHome.title')}>
      <p>{t('piano.goesHome.title')}</p>
      <Group gap="md">
        {homework.map(({ id, name, minutes }) => (
          <span key={id}>
            <Anchor component={Link} to={`/routines/${id}/hand-out?for=student`}>
              {name}
            </Anchor>{' '}
            <small>{t('today.minutes', { count: minutes })}</small>
          </span>
        ))}
        {homework.length === 0 && <span>{t('piano.goesHome.nothing')}</span>}
        {mayMake && (
          <Button
            loading={made.isPending}
            onClick={() => {
              const name = t('piano.goesHome.named', { day: dayText(run.startedAt) });
              const start = {
                name,
                kind: 'home' as const,
                minutes: minutesOf(run, steps),
                steps: steps.map((step) => ({ ...step, id: v7() })),
              };
              made.mutate({ id: studentId, start });
            }}
          >
            {t('piano.goesHome.make')}
          </Button>
        )}
      </Group>
      <FormProblem error={made.error} />
    </section>
  );
}
