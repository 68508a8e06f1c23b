import { Button } from '@mantine/core';
import { dayHints, type Exercise, type LaidRoutine } from '@soft-lark/core';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useLay, useRoutineContext } from '../../api/lay.ts';
import type { LessonToday } from '../../api/students.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { useDraftFor } from '../../api/use-new-routine.ts';
import { todaysTop } from '../../flight/pitch-scale.ts';
import { SmallFlight } from '../../flight/small-flight.tsx';
import { useShown } from '../../shell/use-shown.ts';
import { ConditionPicker } from '../../ui/condition-picker.tsx';
import { clockText, recentDayText, timeText } from '../../text/times.ts';
import { KeyCap } from '../../ui/key-cap.tsx';
import { LessonLines } from '../../ui/lesson-lines.tsx';
import { LimitNote } from '../../ui/limit-note.tsx';
import { writeNote } from '../../text/note-names.ts';
import { RoutineChoice } from './routine-choice.tsx';
import classes from './today.module.css';

interface LessonRowProps {
  readonly lesson: LessonToday;
  readonly isNext: boolean;
  readonly exercises: ReadonlyMap<string, Exercise>;
  readonly now: Date;
}

/** Share of the minutes that is as good as all of them. */
const ENOUGH = 0.9;

function TodayLine({
  lesson,
  laid,
}: {
  readonly lesson: LessonToday;
  readonly laid: LaidRoutine | null;
}): ReactElement {
  const { t } = useTranslation();
  const { routine, lock } = lesson;
  const { isShared } = useShown();
  if (!isShared && lock && lock.level !== 'see-someone')
    return <p className={classes['line']}>{t(`today.locked.${lock.level}`)}</p>;
  if (!routine || !laid) return <p className={classes['none']}>{t('today.noRoutine')}</p>;
  if (laid.lowest === null || laid.highest === null)
    return <p className={classes['line']}>{t('today.nothingSings')}</p>;
  const budget = routine.minutes * 60;
  const top = todaysTop(laid);
  const leftOut = laid.steps.filter(({ problem }) => problem).length;
  return (
    <p className={classes['line']}>
      {t('today.line', {
        name: routine.name,
        length: clockText(laid.seconds),
        budget: clockText(budget),
        low: writeNote(laid.lowest),
        high: writeNote(laid.highest),
      })}{' '}
      {laid.seconds > budget && t('today.overBudget', { over: clockText(laid.seconds - budget) })}{' '}
      {leftOut > 0 && t('today.leftOut', { count: leftOut })}{' '}
      {top && (
        <>
          {t('today.top')} <LimitNote limits={top.limits} context={top.limitContext} note={top.limits.ceiling} />
        </>
      )}
      {laid.seconds < budget * ENOUGH && (
        <span>
          {t('today.short', { time: clockText(budget - laid.seconds) })}{' '}
          <Link to={`/routines/${routine.id}?fill=1`}>{t('today.fill')}</Link>
        </span>
      )}
    </p>
  );
}

/** How the voice is today, what the last time and the days since say, and what to do differently. */
function HowItIs({
  lesson,
  isNext,
  exercises,
  now,
  laid,
}: LessonRowProps & { readonly laid: LaidRoutine | null }): ReactElement {
  const { t } = useTranslation();
  const { student, conditions, routine, lastRun } = lesson;
  const setCondition = useCondition(student.id);
  const { isShared } = useShown();
  const context = useRoutineContext(lesson, exercises, now, routine?.kind ?? 'lesson');
  const last = lastRun && {
    day: recentDayText(lastRun.startedAt, now),
    high: lastRun.highest === null ? '–' : writeNote(lastRun.highest),
    ease: lastRun.ease ?? '–',
  };
  return (
    <div className={classes['how']}>
      <ConditionPicker value={conditions} onChange={setCondition} />
      {lastRun && lastRun.note !== '' && !isShared && (
        <p className={classes['forToday']}>{t('today.lineForToday', { line: lastRun.note })}</p>
      )}
      {lesson.practised && !isShared && (
        <p className={classes['forToday']}>
          {t('today.practised', { count: lesson.practised.times })}
          {lesson.practised.ease !== null && ` · ${t(`piano.easeWords.${String(lesson.practised.ease) as '1'}`)}`}
          {lesson.practised.note !== '' && ` · “${lesson.practised.note}”`}
        </p>
      )}
      {routine && laid && !isShared && (
        <LessonLines
          studentId={student.id}
          routineId={routine.id}
          steps={laid.steps}
          context={context}
          isShort={!isNext}
        />
      )}
      <small>
        {last ? t('today.lastRun', last) : t('today.neverRun')}
        {conditions.length === 0 &&
          !isShared &&
          dayHints(lesson.lesson.startsAt, student.note).map(({ condition, why }) => (
            <button
              key={why}
              type="button"
              className={classes['hint']}
              onClick={() => {
                setCondition([condition]);
              }}
            >
              {t(`today.hints.${why}`)}
            </button>
          ))}
      </small>
    </div>
  );
}

/** The one press to begin, or to have something to begin with. */
function Act({ lesson, isNext }: Pick<LessonRowProps, 'lesson' | 'isNext'>): ReactElement {
  const { t } = useTranslation();
  const { student, routine } = lesson;
  const { draftFor, isPending } = useDraftFor();
  return routine ? (
    <Button
      component={Link}
      to={`/sing/${routine.id}`}
      aria-label={`${t('today.sing')}, ${student.name}`}
      variant={isNext ? 'filled' : 'default'}
      rightSection={isNext ? <KeyCap>↵</KeyCap> : undefined}
    >
      {t('today.sing')}
    </Button>
  ) : (
    <Button
      variant={isNext ? 'filled' : 'default'}
      loading={isPending}
      onClick={() => {
        draftFor(student.id);
      }}
    >
      {t('today.build')}
    </Button>
  );
}

/** One lesson: whose it is, how the voice is today, what is ready, and the one press to begin. */
export function LessonRow({ lesson, isNext, exercises, now }: LessonRowProps): ReactElement {
  const { t } = useTranslation();
  const { student, routine } = lesson;
  const lay = useLay();
  const laid = useMemo(
    () => (routine ? lay(routine, lesson, exercises, now) : null),
    [routine, lesson, exercises, now, lay],
  );
  const { voice } = student;
  return (
    <li className={classes['lesson']} data-next={isNext}>
      <div className={classes['time']}>
        <span className="heading">{timeText(lesson.lesson.startsAt)}</span>
        <small>{t('today.minutes', { count: lesson.lesson.minutes })}</small>
      </div>
      <div className={classes['who']}>
        <Link to={`/students/${student.id}`}>
          <bdi>{student.name}</bdi>
        </Link>
        <small>
          {t(`voices.${voice.type}`)} · {t(`styles.${voice.style}`)}
        </small>
      </div>
      <HowItIs lesson={lesson} isNext={isNext} exercises={exercises} now={now} laid={laid} />
      <TodayLine lesson={lesson} laid={laid} />
      {routine ? (
        <span className={classes['flight']}>
          <Link to={`/routines/${routine.id}`} aria-label={routine.name}>
            {laid && <SmallFlight routine={laid} isNext={isNext} />}
          </Link>
          <RoutineChoice student={student} chosen={routine.id} />
        </span>
      ) : (
        <span className={classes['flight']} />
      )}
      <Act lesson={lesson} isNext={isNext} />
    </li>
  );
}
