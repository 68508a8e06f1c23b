import { Button, Title } from '@mantine/core';
import { IconFileText } from '@tabler/icons-react';
import { LEAST_RUNS } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { progressQuery, type StudentProgress as Weeks } from '../../api/history.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import type { Student } from '../../api/students.queries.ts';
import { writeNote } from '../../text/note-names.ts';
import { dayText } from '../../text/times.ts';
import { decimalText } from '../../text/numbers.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { CourseQuestion, EaseQuestion } from './progress-courses.tsx';
import { BreakPicture, LoadPicture, RangePicture } from './progress-pictures.tsx';
import { Question } from './progress-question.tsx';
import classes from './progress.module.css';

function useRows({
  ranges,
  weeks,
  notes,
}: Weeks): Readonly<Record<'ranges' | 'weeks' | 'notes', (string | number)[][]>> {
  const { t } = useTranslation();
  return {
    ranges: ranges.map(({ date, lowest, highest, plannedHighest, isOrdinary }) => [
      dayText(date),
      writeNote(lowest),
      writeNote(highest),
      plannedHighest === null ? '–' : writeNote(plannedHighest),
      t(`students.progress.range.${isOrdinary ? 'yes' : 'no'}`),
    ]),
    weeks: weeks.map(({ from, minutes, usual, mark }) => [
      dayText(from),
      decimalText(minutes),
      usual === undefined ? '–' : decimalText(usual),
      mark === null ? '' : t(`students.progress.load.${mark}`),
    ]),
    notes: notes.map(({ midi, keys, marked }) => [
      writeNote(midi),
      keys,
      marked,
      t('students.progress.notes.share', { share: Math.round((100 * marked) / keys) }),
    ]),
  };
}

/** What has not changed for three weeks, and what the minutes went to. */
function Still({ weeks, student }: { readonly weeks: Weeks; readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const shelf = useQuery(shelfQuery).data;
  const total = weeks.stages.reduce((sum, { minutes }) => sum + minutes, 0);
  return (
    <section className={classes['question']} aria-label={t('students.progress.still.title')}>
      <Title order={2} fz={19}>
        {t('students.progress.still.title')}
      </Title>
      {weeks.stoodStill.length === 0 ? (
        <p>{t('students.progress.still.none')}</p>
      ) : (
        <>
          <p>{t('students.progress.still.about')}</p>
          <ul>
            {weeks.stoodStill.map(({ exerciseId, since, runs }) => (
              <li key={exerciseId}>
                <b>{shelf?.get(exerciseId)?.name ?? exerciseId}</b>{' '}
                {t('students.progress.still.since', { day: dayText(since), count: runs })}
              </li>
            ))}
          </ul>
        </>
      )}
      <Title order={2} fz={19} mt="md" id={`stages-${student.id}`}>
        {t('students.progress.stages')}
      </Title>
      <dl aria-labelledby={`stages-${student.id}`}>
        {weeks.stages.map(({ stage, minutes }) => (
          <div key={stage}>
            <dt>{t(`stages.${stage}`)}</dt>
            <dd>
              <span style={{ width: `${String((100 * minutes) / total)}%` }} />
              {decimalText(minutes, 0)}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

const EMPTY: Weeks = { ranges: [], weeks: [], stages: [], stoodStill: [], notes: [], ease: [], courses: [] };

/** What the last twelve weeks say of one student, a picture for each question; never held against another student. */
export function StudentProgress({ student }: { readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const progress = useQuery(progressQuery(student.id));
  const weeks = progress.data ?? EMPTY;
  const rows = useRows(weeks);
  if (progress.error && !progress.data)
    return <Failure error={progress.error} onRetry={() => void progress.refetch()} />;
  if (!progress.data) return <Shape rows={3} height={230} />;
  if (weeks.weeks.length === 0) return <p>{t('students.progress.none')}</p>;
  const ordinary = weeks.ranges.filter(({ isOrdinary }) => isOrdinary).length;
  const range = (['day', 'lowest', 'highest', 'planned', 'ordinary'] as const).map((name) =>
    t(`students.progress.range.${name}`),
  );
  return (
    <div className={classes['questions']}>
      <Button
        component={Link}
        to={`/students/${student.id}/review`}
        leftSection={<IconFileText size={18} aria-hidden />}
        className={classes['review'] ?? ''}
      >
        {t('students.review.open')}
      </Button>
      <Question
        title={t('students.progress.range.title')}
        about={t('students.progress.range.about')}
        head={range}
        rows={rows.ranges}
        isEnough={ordinary >= LEAST_RUNS}
      >
        <RangePicture ranges={weeks.ranges} comfortable={student.voice.measured?.high} />
      </Question>
      <Question
        title={t('students.progress.load.title')}
        about={t('students.progress.load.about')}
        head={[...(['week', 'minutes', 'usual'] as const).map((name) => t(`students.progress.load.${name}`)), '']}
        rows={rows.weeks}
        isEnough={weeks.weeks.length >= LEAST_RUNS}
      >
        <LoadPicture weeks={weeks.weeks} />
      </Question>
      <Question
        title={t('students.progress.notes.title')}
        about={t('students.progress.notes.about')}
        head={[...(['note', 'keys', 'marked'] as const).map((name) => t(`students.progress.notes.${name}`)), '%']}
        rows={rows.notes}
        isEnough={ordinary >= LEAST_RUNS}
      >
        <BreakPicture notes={weeks.notes} />
      </Question>
      <EaseQuestion ease={weeks.ease} />
      <CourseQuestion courses={weeks.courses} />
      <Still weeks={weeks} student={student} />
    </div>
  );
}
