import type { AnswerChange, StepChange } from '@soft-lark/core';
import { keepPreviousData, useQuery, type UseQueryResult } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { answersFor, dayContext, ofKind, useStudioAnswers, type StudioAnswers } from '../../api/lay.ts';
import { routinesQuery, type Routine } from '../../api/routines.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { studentsQuery, type Student } from '../../api/students.queries.ts';
import { useNow } from '../../ui/clock.ts';
import { clockText } from '../../text/times.ts';
import { Shape } from '../../ui/shape.tsx';
import { writeNote } from '../../text/note-names.ts';
import { errorText, sayFinding } from '../../text/say.ts';
import { answerChangesBeside } from '../../workers/answers.ts';
import classes from './settings.module.css';

interface AnswersPreviewProps {
  /** The studio's answers as they would be. */
  readonly studio: StudioAnswers;
  /** One student with answers as they would be, whose routines alone are looked at; left out all of the studio. */
  readonly student?: Student;
}

interface Altered {
  readonly routine: Routine;
  readonly student: Student;
  readonly change: AnswerChange;
}

function isAltered({ change }: Altered): boolean {
  return change.steps.length + change.findingsGone.length + change.findingsNew.length > 0;
}

/** Every routine that would change, on a plain day. */
function useAltered(edited: AnswersPreviewProps): UseQueryResult<readonly Altered[]> {
  const now = useNow(600);
  const studio = useStudioAnswers();
  const students = useQuery(studentsQuery).data;
  const routines = useQuery(routinesQuery(edited.student?.id)).data;
  const shelf = useQuery(shelfQuery).data;
  return useQuery({
    queryKey: ['routines', 'answers', edited.student, edited.studio, now.toISOString()],
    enabled: shelf !== undefined && students !== undefined && routines !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: async () => {
      const cases = (routines ?? []).flatMap((routine) => {
        const student = students?.find(({ id }) => id === routine.studentId);
        return student ? [{ routine, student }] : [];
      });
      const found = await answerChangesBeside(
        cases.map(({ routine: { steps, minutes, kind }, student }) => {
          const day = { student, conditions: [], breathOff: false, holdsOff: false };
          return {
            routine: { steps, minutes },
            // The shelf goes over once, beside the cases.
            context: { ...dayContext(day, studio, new Map(), now), ...ofKind(kind) },
            to: answersFor(edited.studio, edited.student ?? student),
          };
        }),
        shelf ?? new Map<string, never>(),
      );
      return cases
        .flatMap(({ routine, student }, index) => {
          const change = found[index];
          return change ? [{ routine, student, change }] : [];
        })
        .filter(isAltered);
    },
  });
}

function StepLine({ change }: { readonly change: StepChange }): ReactElement {
  const { t } = useTranslation();
  const { name, travel, keys, top, seconds, cuesGone, cuesNew, isOut, isBack } = change;
  const said = [
    isOut && t('settings.preview.leftOut'),
    isBack && t('settings.preview.back'),
    travel && `${t(`travels.${travel.from}` as 'travels.rise')} → ${t(`travels.${travel.to}` as 'travels.rise')}`,
    keys && t('settings.preview.keys', keys),
    top && t('settings.preview.top', { from: writeNote(top.from), to: writeNote(top.to) }),
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

/** What other answers would alter in the routines there are, before it is done. */
export function AnswersPreview(props: AnswersPreviewProps): ReactElement {
  const { t } = useTranslation();
  const { data: altered, error } = useAltered(props);
  // What is being typed is told quietly; whoever saves it all the same is told aloud.
  if (error) return <p role="status">{errorText(error)}</p>;
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
            <Link to={`/routines/${routine.id}`}>{routine.name}</Link> · <bdi>{student.name}</bdi> ·{' '}
            {t('settings.preview.steps', { count: change.steps.length })}
          </summary>
          <ul>
            {change.steps.map((step) => (
              <StepLine key={step.stepId} change={step} />
            ))}
            {change.findingsNew.map((finding) => (
              <li key={finding.id}>
                {t('settings.preview.findingNew')} {sayFinding(finding)}
              </li>
            ))}
            {change.findingsGone.map((finding) => (
              <li key={finding.id}>
                {t('settings.preview.findingGone')} {sayFinding(finding)}
              </li>
            ))}
          </ul>
        </details>
      ))}
    </section>
  );
}
