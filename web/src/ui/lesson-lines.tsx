import { lessonLines, type LaidStep, type RoutineContext } from '@soft-lark/core';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useAdvicePast } from '../api/history.queries.ts';
import { say } from '../text/say.ts';
import classes from './ui.module.css';

interface LessonLinesProps {
  readonly studentId: string;
  readonly routineId: string;
  readonly steps: readonly LaidStep[];
  readonly context: RoutineContext;
  /** Only the gravest line, and how many more there are. */
  readonly isShort?: boolean;
}

/** What to do differently from last time with this student, in three lines at most; each leads to its step. */
export function LessonLines({
  studentId,
  routineId,
  steps,
  context,
  isShort = false,
}: LessonLinesProps): ReactElement | null {
  const { t } = useTranslation();
  const past = useAdvicePast(studentId);
  const lines = useMemo(() => (past ? lessonLines(steps, context, past) : []), [steps, context, past]);
  // What is about no step can wait for the lesson.
  const shown = isShort ? lines.filter(({ stepId }) => stepId !== undefined).slice(0, 1) : lines;
  const more = lines.length - shown.length;
  if (shown.length === 0) return null;
  return (
    <div className={classes['lessonLines']} role="note" aria-label={t('today.differently')}>
      {!isShort && <b>{t('today.differently')}</b>}
      <ul>
        {shown.map(({ said, stepId }) => (
          <li key={say(said)}>
            {stepId === undefined ? (
              say(said)
            ) : (
              <Link to={`/routines/${routineId}?step=${encodeURIComponent(stepId)}`}>{say(said)}</Link>
            )}{' '}
            {more > 0 && t('today.moreLines', { count: more })}
          </li>
        ))}
      </ul>
    </div>
  );
}
