import { Button, Fieldset, Group, Progress, Table } from '@mantine/core';
import { IconDatabaseExport, IconDownload } from '@tabler/icons-react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import {
  askForBackup,
  backupsQuery,
  callOffBackup,
  sendBackup,
  studioQuery,
  type Backup,
  type Backups as BackupList,
} from '../../api/studio.queries.ts';
import { decimalText } from '../../text/numbers.ts';
import { momentText } from '../../text/times.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { Comparison } from './comparison.tsx';
import classes from './settings.module.css';

const BYTES_IN_MB = 1_000_000;

function BackupRow({ backup, onRestore }: { readonly backup: Backup; readonly onRestore: () => void }): ReactElement {
  const { t } = useTranslation();
  const { name, madeAt, bytes } = backup;
  const when = momentText(madeAt);
  return (
    <Table.Tr>
      <Table.Td>{when}</Table.Td>
      <Table.Td ta="right">{t('settings.backups.size', { size: decimalText(bytes / BYTES_IN_MB, 2) })}</Table.Td>
      <Table.Td ta="right">
        <Group gap="xs" justify="flex-end">
          <Button
            size="xs"
            variant="subtle"
            component="a"
            href={`/api/studio/backups/${name}`}
            download
            leftSection={<IconDownload size={16} aria-hidden />}
          >
            {t('settings.backups.take')}
          </Button>
          <Button size="xs" aria-label={t('settings.backups.restoreOf', { when })} onClick={onRestore}>
            {t('settings.backups.restore')}
          </Button>
        </Group>
      </Table.Td>
    </Table.Tr>
  );
}

/** One more backup: asked for, watched while it is written, and called off. */
function Making({ backups }: { readonly backups: BackupList }): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (wanted: () => Promise<BackupList>) => wanted(),
    onSuccess: (now) => {
      queries.setQueryData(backupsQuery.queryKey, now);
    },
  });
  const share = Math.round(backups.share * 100);
  return (
    <>
      {backups.isBeingMade ? (
        <Group mt={8} gap="md">
          <Progress w={240} value={share} aria-label={t('settings.backups.written', { share })} />
          <span className={classes['hint']}>{t('settings.backups.written', { share })}</span>
          <Button
            size="xs"
            loading={change.isPending}
            onClick={() => {
              change.mutate(callOffBackup);
            }}
          >
            {t('settings.backups.callOff')}
          </Button>
        </Group>
      ) : (
        <Button
          mt={8}
          leftSection={<IconDatabaseExport size={18} aria-hidden />}
          loading={change.isPending}
          onClick={() => {
            change.mutate(askForBackup);
          }}
        >
          {t('settings.backups.now')}
        </Button>
      )}
      <FormProblem error={change.error} />
    </>
  );
}

/** The backups of every night on the server's machine: what there is, one more now, and back to one of them. */
export function Backups(): ReactElement | null {
  const { t } = useTranslation();
  const { data } = useQuery(backupsQuery);
  const kept = useQuery(studioQuery).data?.backupsKept;
  const [chosen, setChosen] = useState<Backup | null>(null);
  const compare = useMutation({ mutationFn: (name: string) => sendBackup('compare', name), retry: false });
  if (!data) return null;
  return (
    <Fieldset legend={t('settings.backups.title')}>
      <p className={classes['hint']}>
        {data.isOn ? t('settings.backups.hint', { count: kept ?? 0 }) : t('settings.backups.off')}
      </p>
      {data.trouble !== null && (
        <p role="alert" className={classes['trouble']}>
          {t('settings.backups.trouble', { why: data.trouble })}
        </p>
      )}
      {data.backups.length > 0 && (
        <Table aria-label={t('settings.backups.title')} mt={8} maw={620}>
          <Table.Tbody>
            {data.backups.map((backup) => (
              <BackupRow
                key={backup.name}
                backup={backup}
                onRestore={() => {
                  setChosen(backup);
                  compare.mutate(backup.name);
                }}
              />
            ))}
          </Table.Tbody>
        </Table>
      )}
      {data.isOn && <Making backups={data} />}
      <FormProblem error={compare.error} />
      {chosen && compare.data && (
        <Comparison
          contents={compare.data}
          restore={() => sendBackup('restore', chosen.name)}
          warning={t('settings.backups.warning')}
          onClose={() => {
            setChosen(null);
            compare.reset();
          }}
        />
      )}
    </Fieldset>
  );
}
