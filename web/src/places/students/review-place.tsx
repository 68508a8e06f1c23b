import { Anchor, Button, Textarea } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import { IconPrinter } from '@tabler/icons-react';
import { useQuery } from '@tanstack/react-query';
import { termReview, type TermReview } from '@soft-lark/core';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useParams } from 'react-router';
import { historyQuery, progressQuery } from '../../api/history.queries.ts';
import { rangeChecksQuery } from '../../api/range-checks.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { studentTodayQuery, type Student } from '../../api/students.queries.ts';
import { useShown } from '../../shell/use-shown.ts';
import { say } from '../../text/say.ts';
import { dayText } from '../../text/times.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import classes from './review.module.css';

const QUESTIONS = ['trained', 'moved', 'untouched', 'next'] as const satisfies readonly (keyof TermReview)[];

interface Term {
  readonly review: TermReview;
  /** ISO days. */
  readonly from: string;
  readonly to: string;
}

/** What the last twelve weeks come to; nothing until all of it is there, and what keeps it from being there. */
function useTerm(student: Student): { readonly term: Term | undefined; readonly error: Error | null } {
  const { id } = student;
  const all = {
    progress: useQuery(progressQuery(id)),
    history: useQuery(historyQuery(id)),
    checks: useQuery(rangeChecksQuery(id)),
  };
  const [progress, history, checks] = [all.progress.data, all.history.data, all.checks.data];
  const exercises = useQuery(shelfQuery).data;
  const today = useQuery(sessionQuery).data?.today;
  const term = useMemo(() => {
    if (!progress || !history || !checks || !exercises || today === undefined) return undefined;
    const from = progress.ranges[0]?.date ?? today;
    const sung = new Set([...history.lastSung, ...history.results].map(({ exerciseId }) => exerciseId));
    const ofTerm = checks
      .flatMap(({ day: date, low, high }) => (date >= from ? [{ date, low, high }] : []))
      .sort((a, b) => a.date.localeCompare(b.date));
    const review = termReview({ progress, voice: student.voice, checks: ofTerm, sung, exercises, today });
    return { from, to: today, review };
  }, [student, progress, history, checks, exercises, today]);
  return { term, error: all.progress.error ?? all.history.error ?? all.checks.error };
}

/** The paper: the teacher's words on top, then what the weeks say. */
function Paper({ student }: { readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const { term, error } = useTerm(student);
  const [words, setWords] = useLocalStorage({ key: `soft-lark-review-${student.id}`, defaultValue: '' });
  if (error && !term) return <Failure error={error} />;
  if (!term) return <Shape rows={6} height={60} />;
  return (
    <article className={classes['paper']}>
      <header>
        <h1 className="heading">
          <bdi>{student.name}</bdi>
        </h1>
        <p>{t('students.review.span', { from: dayText(term.from), to: dayText(term.to) })}</p>
      </header>
      <Textarea
        label={t('students.review.words')}
        description={t('students.review.wordsHint')}
        autosize
        minRows={3}
        maxLength={4000}
        value={words}
        onChange={({ currentTarget }) => {
          setWords(currentTarget.value);
        }}
        className={classes['typed'] ?? ''}
      />
      {words !== '' && <p className={classes['words']}>{words}</p>}
      {QUESTIONS.map((question) => (
        <section key={question} aria-labelledby={`review-${question}`}>
          <h2 id={`review-${question}`}>{t(`students.review.questions.${question}`)}</h2>
          <ul>
            {term.review[question].map((one) => (
              <li key={say(one)}>{say(one)}</li>
            ))}
          </ul>
        </section>
      ))}
    </article>
  );
}

/** The review of a student at the end of a term, to be read, written on and printed. */
export function ReviewPlace(): ReactElement {
  const { t } = useTranslation();
  const { studentId = '' } = useParams();
  const { isShared } = useShown();
  const today = useQuery(studentTodayQuery(studentId));
  if (isShared) return <p>{t('app.notShared')}</p>;
  if (today.error && !today.data) return <Failure error={today.error} onRetry={() => void today.refetch()} />;
  if (!today.data) return <Shape rows={6} height={60} />;
  return (
    <main className={classes['place']}>
      <nav aria-label={t('students.review.title')}>
        <Anchor component={Link} to={`/students/${studentId}/progress`}>
          ← {t('students.review.back')}
        </Anchor>
        <Button
          variant="filled"
          leftSection={<IconPrinter size={18} aria-hidden />}
          onClick={() => {
            window.print();
          }}
        >
          {t('handOut.print')}
        </Button>
      </nav>
      <Paper student={today.data.student} />
    </main>
  );
}
