import { Button, Group, Select } from '@mantine/core';
import { copyRoutine, type CopiedRoutine, type CopiedStep, type Exercise, type RoutineContext } from '@soft-lark/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { dayContext, ofKind, useStudioAnswers } from '../../api/lay.ts';
import { addRoutine, stepsOf } from '../../api/routines.queries.ts';
import { studentsQuery, studentTodayQuery } from '../../api/students.queries.ts';
import { writeNote } from '../../text/note-names.ts';
import { say } from '../../text/say.ts';
import { useShown } from '../../shell/use-shown.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import type { EditedRoutine } from './bench.reducer.ts';
import classes from './bench.module.css';

interface CopyToProps {
  readonly routine: EditedRoutine;
  readonly studentId: string;
  readonly context: RoutineContext;
}

function useCopyFor(studentId: string | null, { routine, context }: CopyToProps): CopiedRoutine | null {
  const studio = useStudioAnswers();
  const day = useQuery({ ...studentTodayQuery(studentId ?? ''), enabled: studentId !== null }).data;
  return useMemo(() => {
    if (!day) return null;
    const other = {
      ...dayContext(day, studio, context.exercises, new Date(context.now)),
      ...ofKind(routine.kind),
    };
    return copyRoutine(routine.steps, context, other, v7);
  }, [routine, context, day, studio]);
}

/** What became of one step, in words. */
function Became({
  change,
  exercises,
}: {
  readonly change: CopiedStep;
  readonly exercises: ReadonlyMap<string, Exercise>;
}): ReactElement {
  const { t } = useTranslation();
  const span = (range: CopiedStep['from']): string => (range ? `${writeNote(range.low)}–${writeNote(range.high)}` : '');
  const { became, from, to, insteadId, reason } = change;
  const word = t(`bench.copyTo.${became}`, { name: exercises.get(insteadId ?? '')?.name });
  return (
    <li data-became={became}>
      <b>{exercises.get(change.exerciseId)?.name}</b>
      <span>
        {word}
        {became === 'placed-anew' && from && to && ` ${span(from)} → ${span(to)}`}
        {reason && <small> {say(reason)}</small>}
      </span>
    </li>
  );
}

/** Copies the routine to another student: every step placed for that voice, and what changed is listed first. */
export function CopyTo({ close, ...props }: CopyToProps & { readonly close: () => void }): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const { mayShow } = useShown();
  const [studentId, setStudentId] = useState<string | null>(null);
  const students = (useQuery(studentsQuery).data ?? []).filter(({ id }) => id !== props.studentId && mayShow(id));
  const copied = useCopyFor(studentId, props);
  const { name, kind, minutes } = props.routine;
  const make = useMutation({
    mutationFn: (copy: CopiedRoutine) =>
      addRoutine({ id: v7(), studentId: studentId ?? '', name, kind, minutes, steps: stepsOf(copy.steps) }),
    onSuccess: async ({ id }) => {
      await queries.invalidateQueries({ queryKey: ['routines'] });
      close();
      await navigate(`/routines/${id}`);
    },
  });
  return (
    <>
      <Select
        searchable
        label={t('bench.copyTo.student')}
        data={students.map((student) => ({ value: student.id, label: student.name }))}
        value={studentId}
        onChange={setStudentId}
      />
      {copied && (
        <ul className={classes['copied']} aria-label={t('bench.copyTo.changes')}>
          {copied.changes.map((change, index) => (
            <Became key={index} change={change} exercises={props.context.exercises} />
          ))}
        </ul>
      )}
      <FormProblem error={make.error} />
      <Group justify="flex-end" mt="md">
        <Button onClick={close}>{t('app.cancel')}</Button>
        <Button
          variant="filled"
          disabled={!copied || copied.steps.length === 0}
          loading={make.isPending}
          onClick={() => {
            if (copied) make.mutate(copied);
          }}
        >
          {t('bench.copyTo.make')}
        </Button>
      </Group>
    </>
  );
}
