import { Button, Table, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';

import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { lastRunsQuery } from '../../api/runs.queries.ts';
import { lessonsQuery, studentsQuery } from '../../api/students.queries.ts';
import { unreadableQuery } from '../../api/unreadable.queries.ts';
import { useShown } from '../../shell/use-shown.ts';
import { useNow } from '../../ui/clock.ts';
import { Failure } from '../../ui/failure.tsx';
import { recentDayText } from '../../ui/format.ts';
import { Shape } from '../../ui/shape.tsx';
import { UnreadableRows } from '../../ui/unreadable-rows.tsx';
import { GroupList } from '../groups/group-list.tsx';
import { AddStudent } from './add-student.tsx';
import { writeNote } from '../../text/note-names.ts';
import classes from './students.module.css';

const HEADERS = ['name', 'voice', 'measured', 'lessons', 'lastSung'] as const;

/** Everyone the studio teaches. */
export function StudentsPlace(): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const students = useQuery(studentsQuery);
  const lessons = useQuery(lessonsQuery).data ?? [];
  const unreadable = [
    ...(useQuery(unreadableQuery('students')).data ?? []),
    ...(useQuery(unreadableQuery('routines')).data ?? []),
  ];
  const lastRuns = useQuery(lastRunsQuery).data ?? [];
  const now = useNow();
  const { isShared, mayShow } = useShown();
  const [address, setAddress] = useSearchParams();
  const setAdding = (isAdding: boolean): void => {
    setAddress(isAdding ? { add: '1' } : {}, { replace: true });
  };
  if (students.error && !students.data)
    return <Failure error={students.error} onRetry={() => void students.refetch()} />;
  if (!students.data) return <Shape rows={8} height={44} />;
  const lessonsOf = (id: string): string =>
    lessons
      .filter(({ studentId }) => studentId === id)
      .map(({ weekday, startsAt }) => `${t(`weekdays.${String(weekday) as '1'}`).slice(0, 3)} ${startsAt}`)
      .join(' · ');
  return (
    <>
      <div className={classes['heading']}>
        <Title order={1} fz={32}>
          {t('students.heading', { count: students.data.length })}
        </Title>
        <Button
          variant="filled"
          onClick={() => {
            setAdding(true);
          }}
        >
          {t('students.add')}
        </Button>
      </div>
      <UnreadableRows rows={unreadable} />
      <AddStudent
        isOpen={address.get('add') !== null}
        onClose={() => {
          setAdding(false);
        }}
        onAdded={(id) => void navigate(`/students/${id}`)}
      />
      {students.data.length === 0 && <p>{t('students.empty')}</p>}
      <Table verticalSpacing="md" highlightOnHover className={classes['list'] ?? ''}>
        <Table.Thead>
          <Table.Tr>
            {HEADERS.map((name) => (
              <Table.Th key={name}>{t(`students.${name}`)}</Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {students.data
            .filter(({ id }) => mayShow(id))
            .map(({ id, name, voice }) => {
              const last = lastRuns.find((run) => run.studentId === id);
              const { measured } = voice;
              return (
                <Table.Tr key={id} onClick={() => void navigate(`/students/${id}`)}>
                  <Table.Td>
                    <Link to={`/students/${id}`}>{name}</Link>
                  </Table.Td>
                  <Table.Td>
                    {t(`voices.${voice.type}`)} · {t(`styles.${voice.style}`)}
                  </Table.Td>
                  <Table.Td>
                    {measured ? `${writeNote(measured.low)} – ${writeNote(measured.high)}` : t('students.notMeasured')}
                  </Table.Td>
                  <Table.Td>{lessonsOf(id)}</Table.Td>
                  <Table.Td>{last ? recentDayText(last.startedAt, now) : '–'}</Table.Td>
                </Table.Tr>
              );
            })}
        </Table.Tbody>
      </Table>
      {!isShared && <GroupList />}
    </>
  );
}
