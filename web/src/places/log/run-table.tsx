import { Button, Table } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { useShown } from '../../shell/use-shown.ts';
import { momentText } from '../../text/times.ts';
import { writeNote } from '../../text/note-names.ts';
import { keysWords } from './keys-words.ts';
import type { LoggedRuns } from './use-runs.ts';
import classes from './log.module.css';

const HEADERS = ['when', 'student', 'routine', 'keys', 'range', 'ease', 'marks', 'note'] as const;

/** Runs, the last first, and a way to the earlier ones. */
export function RunTable({ runs = [], earlier, isLoading }: LoggedRuns): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const { isShared, mayShow } = useShown();
  return (
    <>
      <Table verticalSpacing={9} highlightOnHover className={classes['table'] ?? ''}>
        <Table.Thead>
          <Table.Tr>
            {HEADERS.map((name) => (
              <Table.Th key={name}>{t(`log.headers.${name}`)}</Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {runs
            .filter(({ studentId }) => mayShow(studentId))
            .map((run) => (
              <Table.Tr key={run.id} onClick={() => void navigate(`/log/${run.id}`)}>
                <Table.Td>
                  <Link to={`/log/${run.id}`}>{momentText(run.startedAt)}</Link>
                </Table.Td>
                <Table.Td>
                  <bdi>{run.studentName}</bdi>
                </Table.Td>
                <Table.Td>
                  {run.routineName}
                  {run.atHome && <small> · {t('log.atHome')}</small>}
                </Table.Td>
                <Table.Td>{keysWords(run, t)}</Table.Td>
                <Table.Td>
                  {run.lowest === null || run.highest === null
                    ? '–'
                    : `${writeNote(run.lowest)} – ${writeNote(run.highest)}`}
                </Table.Td>
                <Table.Td>{run.endedAt === null ? t('log.open') : (run.ease ?? '–')}</Table.Td>
                <Table.Td>{run.marks.map((mark) => t(`piano.marks.${mark}`)).join(', ')}</Table.Td>
                <Table.Td className={classes['note'] ?? ''}>{isShared ? '' : run.note}</Table.Td>
              </Table.Tr>
            ))}
        </Table.Tbody>
      </Table>
      {earlier && (
        <Button className={classes['earlier'] ?? ''} loading={isLoading} onClick={earlier}>
          {t('log.earlier')}
        </Button>
      )}
    </>
  );
}
