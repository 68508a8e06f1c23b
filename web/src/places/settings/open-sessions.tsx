import { Button, Fieldset, Table } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { endSession, openSessionsQuery } from '../../api/studio.queries.ts';
import { momentText } from '../../text/times.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import classes from './settings.module.css';

/** Where the account is signed in; each place but this one can be signed out from here. */
export function OpenSessions(): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const sessions = useQuery(openSessionsQuery);
  const end = useMutation({
    mutationFn: endSession,
    onSuccess: () => queries.invalidateQueries({ queryKey: openSessionsQuery.queryKey }),
  });
  const when = (instant: string | null): string => (instant === null ? '–' : momentText(instant));
  return (
    <Fieldset legend={t('settings.account.sessions')}>
      <p className={classes['hint']}>{t('settings.account.sessionsHint')}</p>
      <FormProblem error={sessions.error ?? end.error} />
      <Table>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>{t('settings.account.device')}</Table.Th>
            <Table.Th>{t('settings.account.opened')}</Table.Th>
            <Table.Th>{t('settings.account.seen')}</Table.Th>
            <Table.Td />
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {sessions.data?.map(({ id, device, openedAt, seenAt, isThis }) => {
            const name = device || t('settings.account.unknownDevice');
            return (
              <Table.Tr key={id}>
                <Table.Td>{name}</Table.Td>
                <Table.Td>{when(openedAt)}</Table.Td>
                <Table.Td>{when(seenAt)}</Table.Td>
                <Table.Td ta="right">
                  {isThis ? (
                    t('settings.account.thisSession')
                  ) : (
                    <Button
                      size="compact-sm"
                      aria-label={t('settings.account.endSessionOf', { device: name })}
                      onClick={() => {
                        end.mutate(id);
                      }}
                    >
                      {t('settings.account.endSession')}
                    </Button>
                  )}
                </Table.Td>
              </Table.Tr>
            );
          })}
        </Table.Tbody>
      </Table>
    </Fieldset>
  );
}
