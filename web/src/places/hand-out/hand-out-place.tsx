import { Anchor, Button, Group, SegmentedControl } from '@mantine/core';
import { IconPrinter, IconQrcode } from '@tabler/icons-react';
import { useMutation, useQuery } from '@tanstack/react-query';
import type { Approach, LaidRoutine } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useParams, useSearchParams } from 'react-router';
import { v7 } from 'uuid';
import { makeHomeLink, type MadeHomeLink } from '../../api/home.queries.ts';
import { approachFor, useStudioAnswers } from '../../api/lay.ts';
import { routineQuery } from '../../api/routines.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { studentTodayQuery } from '../../api/students.queries.ts';
import { clockText, dayText } from '../../text/times.ts';
import { Failure } from '../../ui/failure.tsx';
import { FormProblem } from '../../ui/form-problem.tsx';
import { Shape } from '../../ui/shape.tsx';
import { HandOutStep } from './hand-out-step.tsx';
import { CODE_WEEKS, PracticeCode } from './practice-code.tsx';
import { READERS, type Reader } from './readers.ts';
import { TakeAlong } from './take-along.tsx';
import { useLaidFor, type SheetProps } from './use-laid-for.ts';
import classes from './hand-out.module.css';

interface PaperProps extends SheetProps {
  readonly laid: LaidRoutine;
  /** A link for practice, where one was asked for. */
  readonly link: MadeHomeLink | undefined;
}

/** The paper itself. */
function Sheet({ routine, today, reader, laid, link }: PaperProps): ReactElement {
  const { t } = useTranslation();
  const date = useQuery(sessionQuery).data?.today ?? new Date().toISOString();
  const approach: Approach = approachFor(useStudioAnswers(), today.student);
  const steps = laid.steps.filter(({ problem }) => problem === undefined);
  const seconds = steps.reduce((sum, step) => sum + step.seconds, 0);
  return (
    <article className={classes['paper']}>
      <header>
        {link && reader === 'student' && <PracticeCode link={link} />}
        <h1 className="heading">{routine.name}</h1>
        <p>
          <bdi>{today.student.name}</bdi> · {dayText(date)} ·{' '}
          {t('handOut.length', { count: steps.length, time: clockText(seconds) })}
        </p>
      </header>
      <ol>
        {steps.map((step) => (
          <HandOutStep key={step.id} step={step} reader={reader} approach={approach} />
        ))}
      </ol>
      <footer>{t(reader === 'student' ? 'handOut.stop' : 'handOut.made')}</footer>
    </article>
  );
}

/** What can be taken along, and the paper itself. */
function HandOut(props: SheetProps): ReactElement {
  const { t } = useTranslation();
  const { routine, reader } = props;
  const [, setParams] = useSearchParams();
  const laid = useLaidFor(props);
  const making = useMutation({ mutationFn: () => makeHomeLink(routine.studentId, v7(), CODE_WEEKS) });
  return (
    <>
      <nav aria-label={t('handOut.title')}>
        <Anchor component={Link} to={`/routines/${routine.id}`}>
          ← {t('piano.back')}
        </Anchor>
        <SegmentedControl<Reader>
          aria-label={t('handOut.for')}
          data={READERS.map((value) => ({ value, label: t(`handOut.readers.${value}`) }))}
          value={reader}
          onChange={(value) => {
            setParams({ for: value }, { replace: true });
          }}
        />
        <Group gap="xs">
          {/* What a link opens is the work for home. */}
          {routine.kind === 'home' && reader === 'student' && !making.data && (
            <Button
              leftSection={<IconQrcode size={18} aria-hidden />}
              loading={making.isPending}
              onClick={() => {
                making.mutate();
              }}
            >
              {t('handOut.code.add')}
            </Button>
          )}
          <TakeAlong {...props} laid={laid} />
          <Button
            variant="filled"
            leftSection={<IconPrinter size={18} aria-hidden />}
            onClick={() => {
              window.print();
            }}
          >
            {t('handOut.print')}
          </Button>
        </Group>
      </nav>
      <FormProblem error={making.error} />
      <Sheet {...props} laid={laid} link={making.data} />
    </>
  );
}

/** A routine on paper, for the teacher or the student: looked at here, printed or kept as a PDF by the browser. */
export function HandOutPlace(): ReactElement {
  const { routineId = '' } = useParams();
  const [params] = useSearchParams();
  const routine = useQuery(routineQuery(routineId));
  const studentId = routine.data?.studentId ?? '';
  const today = useQuery({ ...studentTodayQuery(studentId), enabled: studentId !== '' });
  const shelf = useQuery(shelfQuery);
  const reader = READERS.find((one) => one === params.get('for')) ?? 'student';
  const error = routine.error ?? today.error ?? shelf.error;
  if (error) return <Failure error={error} onRetry={() => void routine.refetch()} />;
  if (!routine.data || !today.data || !shelf.data) return <Shape rows={6} height={90} />;
  return (
    <main className={classes['place']}>
      <HandOut routine={routine.data} today={today.data} shelf={shelf.data} reader={reader} />
    </main>
  );
}
