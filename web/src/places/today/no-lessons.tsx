import { Button, Stack, Text, Title } from '@mantine/core';
import { IconCheck } from '@tabler/icons-react';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { routinesQuery } from '../../api/routines.queries.ts';
import { studentsQuery } from '../../api/students.queries.ts';
import { useDraftFor } from '../../api/use-new-routine.ts';
import classes from './today.module.css';

const FIRST_STEPS = ['student', 'range', 'routine'] as const;

/** A studio that has just begun is led to its first warm-up: who, how far the voice goes, what is sung. */
function FirstSteps({
  done,
}: {
  readonly done: Readonly<Record<(typeof FIRST_STEPS)[number], boolean>>;
}): ReactElement {
  const { t } = useTranslation();
  const [first] = useQuery(studentsQuery).data ?? [];
  const { draftFor, isPending } = useDraftFor();
  const next = FIRST_STEPS.find((step) => !done[step]);
  const hrefs = { student: '/students?add=1', range: `/students/${first?.id ?? ''}/check` };
  return (
    <ol className={classes['first']}>
      {FIRST_STEPS.map((step) => (
        <li key={step} data-done={done[step]} aria-current={step === next ? 'step' : undefined}>
          <span aria-hidden>{done[step] ? <IconCheck size={18} /> : FIRST_STEPS.indexOf(step) + 1}</span>
          <div>
            <b>{t(`today.first.${step}.title`)}</b>
            <small>{t(`today.first.${step}.text`, { name: first?.name ?? '' })}</small>
          </div>
          {step === 'routine' && !done.routine && first && (
            <Button
              variant={step === next ? 'filled' : 'default'}
              loading={isPending}
              onClick={() => {
                draftFor(first.id);
              }}
            >
              {t('today.build')}
            </Button>
          )}
          {step !== 'routine' && !done[step] && (step === 'student' || first) && (
            <Button component={Link} to={hrefs[step]} variant={step === next ? 'filled' : 'default'}>
              {t(`today.first.${step}.act`)}
            </Button>
          )}
        </li>
      ))}
    </ol>
  );
}

/** A day without lessons says what to do next. */
export function NoLessons(): ReactElement | null {
  const { t } = useTranslation();
  const students = useQuery(studentsQuery).data;
  const routines = useQuery(routinesQuery()).data;
  if (!students || !routines) return null;
  const done = {
    student: students.length > 0,
    range: students.some(({ voice }) => voice.measured),
    routine: routines.length > 0,
  };
  const hasBegun = done.student && done.routine;
  return (
    <Stack align="flex-start" gap="sm" py="xl">
      <Title order={2}>{t(hasBegun ? 'today.emptyTitle' : 'today.first.title')}</Title>
      {hasBegun ? (
        <>
          <Text size="lg" c="dimmed" maw={520}>
            {t('today.emptyText')}
          </Text>
          <Button component={Link} to="/students">
            {t('app.places.students')}
          </Button>
        </>
      ) : (
        <FirstSteps done={done} />
      )}
    </Stack>
  );
}
