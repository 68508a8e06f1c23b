import { Button, Table } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { routinesQuery } from '../../api/routines.queries.ts';
import { lastRunsQuery } from '../../api/runs.queries.ts';
import { lessonsQuery, type Student } from '../../api/students.queries.ts';
import { useDraftFor } from '../../api/use-new-routine.ts';
import { writeNote } from '../../text/note-names.ts';
import { useNow } from '../../ui/clock.ts';
import { Shape } from '../../ui/shape.tsx';
import { recentDayText, timeText, weekdayText } from '../../text/times.ts';
import classes from './students.module.css';

const HEADERS = ['name', 'voice', 'measured', 'lessons', 'lastSung', 'ready'] as const;

/** What stands beside the names; what could not be read is waited for no longer. */
function useBeside() {
  const [lessons, runs, routines] = [useQuery(lessonsQuery), useQuery(lastRunsQuery), useQuery(routinesQuery())];
  return {
    lessons: lessons.data ?? [],
    lastRuns: new Map((runs.data ?? []).map((run) => [run.studentId, run])),
    routines: routines.data ?? [],
    isComing: [lessons, runs, routines].some(({ isLoading, failureCount }) => isLoading && failureCount === 0),
  };
}

/** Students with what they are sung with next; a row opens the student, its button begins. */
export function StudentTable({ students }: { readonly students: readonly Student[] }): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const now = useNow();
  const { draftFor, isPending } = useDraftFor();
  const { lessons, lastRuns, routines, isComing } = useBeside();
  // Rows that grow under a finger let it press the wrong student.
  if (isComing) return <Shape rows={8} height={44} />;
  const lessonsOf = (id: string): string =>
    lessons
      .filter(({ studentId }) => studentId === id)
      .map(({ weekday, startsAt }) => `${weekdayText(weekday)} ${timeText(startsAt)}`)
      .join(' · ');
  return (
    <Table verticalSpacing={8} highlightOnHover className={classes['list'] ?? ''}>
      <Table.Thead>
        <Table.Tr>
          {HEADERS.map((name) => (
            <Table.Th key={name}>{t(`students.${name}`)}</Table.Th>
          ))}
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {students.map(({ id, name, voice }) => {
          const last = lastRuns.get(id);
          // The latest first: of several the first that is met.
          const routine = routines.find(({ studentId, groupId }) => studentId === id && groupId === undefined);
          const { measured } = voice;
          return (
            <Table.Tr key={id} onClick={() => void navigate(`/students/${id}`)}>
              <Table.Td>
                <Link to={`/students/${id}`}>
                  <bdi>{name}</bdi>
                </Link>
              </Table.Td>
              <Table.Td>
                {t(`voices.${voice.type}`)} · {t(`styles.${voice.style}`)}
              </Table.Td>
              <Table.Td>
                {measured ? `${writeNote(measured.low)} – ${writeNote(measured.high)}` : t('students.notMeasured')}
              </Table.Td>
              <Table.Td>{lessonsOf(id)}</Table.Td>
              <Table.Td>{last ? recentDayText(last.startedAt, now) : '–'}</Table.Td>
              <Table.Td className={classes['ready'] ?? ''}>
                {routine ? (
                  <Button
                    component={Link}
                    to={`/sing/${routine.id}`}
                    size="sm"
                    aria-label={t('students.singFor', { routine: routine.name, name })}
                    title={routine.name}
                    onClick={(event) => {
                      event.stopPropagation();
                    }}
                  >
                    {t('bench.sing')}
                  </Button>
                ) : (
                  <Button
                    size="sm"
                    variant="subtle"
                    loading={isPending}
                    aria-label={t('students.draftFor', { name })}
                    onClick={(event) => {
                      event.stopPropagation();
                      draftFor(id);
                    }}
                  >
                    {t('today.build')}
                  </Button>
                )}
              </Table.Td>
            </Table.Tr>
          );
        })}
      </Table.Tbody>
    </Table>
  );
}
