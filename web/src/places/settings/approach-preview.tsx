import type { Approach, ApproachChange, StepChange } from '@soft-lark/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { approachFor, dayContext, ofKind, useStudioAnswers } from '../../api/lay.ts';
import { routinesQuery, type Routine } from '../../api/routines.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { studentsQuery, type Student } from '../../api/students.queries.ts';
import { useNow } from '../../ui/clock.ts';
import { Failure } from '../../ui/failure.tsx';
import { clockText } from '../../ui/format.ts';
import { Shape } from '../../ui/shape.tsx';
import { sentence } from '../../text/note-names.ts';
import { approachChangesBeside } from '../../workers/approach.ts';
import classes from './settings.module.css';

interface ApproachPreviewProps {
  /** The approach of a student as it would be. */
  readonly approachOf: (student: Student) => Approach;
  /** Only this student's routines; left out all of the studio. */
  readonly studentId?: string;
}

interface Altered {
  readonly routine: Routine;
  readonly student: Student;
  readonly change: ApproachChange;
}

function isAltered({ change }: Altered): boolean {
  return change.steps.length + change.findingsGone.length + change.findingsNew.length > 0;
}

/** Every routine that would change, on a plain day. */
function useAltered({ approachOf, studentId }: ApproachPreviewProps): {
  readonly altered: readonly Altered[] | undefined;
  readonly error: Error | null;
  readonly retry: () => void;
} {
  const now = useNow(600);
  const studio = useStudioAnswers();
  const students = useQuery(studentsQuery).data;
  const routines = useQuery(routinesQuery(studentId)).data;
  const shelf = useQuery(shelfQuery).data;
  const cases = (routines ?? []).flatMap((routine) => {
    const student = students?.find(({ id }) => id === routine.studentId);
    return student ? [{ routine, student, to: approachOf(student) }] : [];
  });
  const changes = useQuery({
    queryKey: ['routines', 'approach', studentId, now.toISOString(), cases.map(({ routine, to }) => [routine.id, to])],
    enabled: shelf !== undefined && students !== undefined && routines !== undefined,
    placeholderData: keepPreviousData,
    queryFn: async (): Promise<readonly Altered[]> => {
      const exercises = shelf ?? new Map<string, never>();
      const found = await approachChangesBeside(
        cases.map(({ routine: { steps, minutes, kind }, student, to }) => {
          const day = { student, conditions: [], breathOff: false, holdsOff: false };
          // The shelf goes over once, beside the cases.
          const context = dayContext(day, studio, new Map(), now);
          return {
            routine: { steps, minutes },
            to,
            context: { ...context, ...ofKind(kind), approach: approachFor(studio, student) },
          };
        }),
        exercises,
      );
      return cases
        .flatMap(({ routine, student }, index) => {
          const change = found[index];
          return change ? [{ routine, student, change }] : [];
        })
        .filter(isAltered);
    },
  });
  return { altered: changes.data, error: changes.error, retry: () => void changes.refetch() };
}

function StepLine({ change }: { readonly change: StepChange }): ReactElement {
  const { t } = useTranslation();
  const { name, travel, keys, seconds, cuesGone, cuesNew, leftOut, isBack } = change;
  const said = [
    leftOut !== undefined && t('settings.preview.leftOut'),
    isBack && t('settings.preview.back'),
    travel && `${t(`travels.${travel.from}` as 'travels.rise')} → ${t(`travels.${travel.to}` as 'travels.rise')}`,
    keys && t('settings.preview.keys', keys),
    seconds && `${clockText(seconds.from)} → ${clockText(seconds.to)}`,
    ...cuesGone.map((cue) => t('settings.preview.cueGone', { cue })),
    ...cuesNew.map((cue) => t('settings.preview.cueNew', { cue })),
  ].filter((part) => typeof part === 'string');
  return (
    <li>
      <b>{name}</b> <span>{said.join(' · ')}</span>
    </li>
  );
}

/** What a change of approach would alter in the routines there are, before it is done. */
export function ApproachPreview(props: ApproachPreviewProps): ReactElement {
  const { t } = useTranslation();
  const { altered, error, retry } = useAltered(props);
  if (error) return <Failure error={error} onRetry={retry} />;
  if (!altered) return <Shape rows={2} />;
  return (
    <section className={classes['preview']} aria-label={t('settings.preview.title')}>
      <h2>{t('settings.preview.title')}</h2>
      <p role="status">
        {altered.length === 0 ? t('settings.preview.nothing') : t('settings.preview.count', { count: altered.length })}
      </p>
      {altered.map(({ routine, student, change }) => (
        <details key={routine.id} open={altered.length === 1}>
          <summary>
            <Link to={`/routines/${routine.id}`}>{routine.name}</Link> · {student.name} ·{' '}
            {t('settings.preview.steps', { count: change.steps.length })}
          </summary>
          <ul>
            {change.steps.map((step) => (
              <StepLine key={step.stepId} change={step} />
            ))}
            {change.findingsNew.map(({ id, message }) => (
              <li key={id}>
                {t('settings.preview.findingNew')} {sentence(message)}
              </li>
            ))}
            {change.findingsGone.map(({ id, message }) => (
              <li key={id}>
                {t('settings.preview.findingGone')} {sentence(message)}
              </li>
            ))}
          </ul>
        </details>
      ))}
    </section>
  );
}
