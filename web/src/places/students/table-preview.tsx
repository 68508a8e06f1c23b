import { Button, ScrollArea, Table } from '@mantine/core';
import { readStudentTable, SoftLarkError, type StudentColumns, type StudentRow } from '@soft-lark/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { sessionQuery } from '../../api/session.queries.ts';
import { addStudents, studentsQuery, takeStudentsBack, type Student } from '../../api/students.queries.ts';
import { writeNote } from '../../text/note-names.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { offerUndo } from '../../ui/offer-undo.tsx';
import classes from './table.module.css';
import { errorText } from '../../text/say.ts';

interface TablePreviewProps {
  readonly cells: readonly (readonly string[])[];
  readonly columns: StudentColumns;
}

function Row({ row: { row, name, voice, problems } }: { readonly row: StudentRow }): ReactElement {
  const { t } = useTranslation();
  const isTaken = problems.length === 0 && voice !== null;
  return (
    <Table.Tr data-taken={isTaken}>
      <Table.Td>{row}</Table.Td>
      <Table.Td>
        <bdi>{name}</bdi>
      </Table.Td>
      <Table.Td>{voice && `${t(`voices.${voice.type}`)} · ${t(`styles.${voice.style}`)}`}</Table.Td>
      <Table.Td>{voice?.measured && `${writeNote(voice.measured.low)} – ${writeNote(voice.measured.high)}`}</Table.Td>
      <Table.Td>
        {isTaken
          ? t('students.table.added')
          : problems.map(({ code, value }) => t(`students.table.problems.${code}`, { value })).join('; ')}
      </Table.Td>
    </Table.Tr>
  );
}

function Rows({ rows }: { readonly rows: readonly StudentRow[] }): ReactElement {
  const { t } = useTranslation();
  return (
    <ScrollArea.Autosize mah={420} viewportProps={{ tabIndex: 0 }}>
      <Table verticalSpacing={6} stickyHeader className={classes['rows'] ?? ''}>
        <Table.Thead>
          <Table.Tr>
            {(['row', 'column.name', 'column.voice', 'range', 'outcome'] as const).map((head) => (
              <Table.Th key={head}>{t(`students.table.${head}`)}</Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {rows.map((row) => (
            <Row key={row.row} row={row} />
          ))}
        </Table.Tbody>
      </Table>
    </ScrollArea.Autosize>
  );
}

/** What the rows would be as students, what is wrong with the rest, and the one press that adds them. */
export function TablePreview({ cells, columns }: TablePreviewProps): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const students = useQuery(studentsQuery).data;
  const session = useQuery(sessionQuery).data;
  const outcome = useMemo((): readonly StudentRow[] | SoftLarkError => {
    try {
      return readStudentTable(cells, columns, {
        naming: session?.noteNaming ?? { scheme: 'scientific' },
        here: (students ?? []).map(({ name }) => name),
        today: session?.today ?? '',
      });
    } catch (error) {
      if (error instanceof SoftLarkError) return error;
      throw error;
    }
  }, [cells, columns, session, students]);
  // Their ids stay the same when a press is tried again: added twice is added once.
  const taken = useMemo(
    () =>
      outcome instanceof SoftLarkError
        ? []
        : outcome.flatMap(({ name, note, voice, problems }) =>
            voice && problems.length === 0 ? [{ id: v7(), name, note, voice: voice as Student['voice'] }] : [],
          ),
    [outcome],
  );
  const refresh = (): Promise<void> => queries.invalidateQueries({ queryKey: ['students'] });
  const add = useMutation({
    mutationFn: () => addStudents(taken),
    onSuccess: (added) => {
      void refresh();
      void navigate('/students');
      offerUndo({
        message: t('students.table.done', { count: added.length }),
        label: t('students.table.undo'),
        undo: () => void takeStudentsBack(added.map(({ id }) => id)).then(refresh),
      });
    },
  });
  if (outcome instanceof SoftLarkError)
    return (
      <p className={classes['refused']} role="alert">
        {errorText(outcome)}
      </p>
    );
  const left = outcome.length - taken.length;
  return (
    <section aria-label={t('students.table.preview')}>
      <h2>{t('students.table.preview')}</h2>
      <Rows rows={outcome} />
      <FormProblem error={add.error} />
      <p className={classes['about']}>
        {left > 0 && t('students.table.left', { count: left })} {t('students.table.measured')}
      </p>
      <Button
        variant="filled"
        disabled={taken.length === 0}
        loading={add.isPending}
        onClick={() => {
          add.mutate();
        }}
      >
        {t('students.table.take', { count: taken.length })}
      </Button>
    </section>
  );
}
