import { Button, Group, Modal, Stack, Table } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { IconDownload } from '@tabler/icons-react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { StudioFileContents } from '../../api/studio.queries.ts';
import { momentText } from '../../text/times.ts';
import { FormProblem } from '../../ui/form-problem.tsx';

/** What a teacher counts; versions and the like come along unsaid. */
const SHOWN = [
  'student',
  'lesson',
  'routine',
  'run',
  'run_key',
  'range_check',
  'exercise',
  'song',
  'template',
  'singer_group',
] as const;

/** The browser takes the file itself, so that no size of it is ever held by the page. */
export function TakeFile({ label }: { readonly label: string }): ReactElement {
  return (
    <Button component="a" href="/api/studio/file" download leftSection={<IconDownload size={18} aria-hidden />}>
      {label}
    </Button>
  );
}

interface ComparisonProps {
  readonly contents: StudioFileContents;
  readonly restore: () => Promise<unknown>;
  /** What becomes of what is here now. */
  readonly warning: string;
  readonly onClose: () => void;
}

/** A file against what is here, before it takes its place. */
export function Comparison({ contents, restore: restoring, warning, onClose }: ComparisonProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const { studioName, madeAt, isSame, counts } = contents;
  const restore = useMutation({
    mutationFn: restoring,
    retry: false,
    onSuccess: () => {
      // Nothing that was asked for before is true any more.
      void queries.resetQueries();
      notifications.show({ message: t('settings.file.done') });
      onClose();
    },
  });
  return (
    <Modal opened onClose={onClose} title={t('settings.file.title')} size="lg">
      <Stack gap="sm">
        <p>
          {t('settings.file.from', { name: studioName, when: momentText(madeAt) })}{' '}
          {!isSame && t('settings.file.another')}
        </p>
        <Table>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>{t('settings.file.kind')}</Table.Th>
              <Table.Th ta="right">{t('settings.file.inFile')}</Table.Th>
              <Table.Th ta="right">{t('settings.file.here')}</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {SHOWN.map((table) => {
              const count = counts.find((one) => one.table === table);
              return (
                <Table.Tr key={table}>
                  <Table.Td>{t(`settings.file.tables.${table}`)}</Table.Td>
                  <Table.Td ta="right">{count?.inFile ?? 0}</Table.Td>
                  <Table.Td ta="right">{count?.here ?? 0}</Table.Td>
                </Table.Tr>
              );
            })}
          </Table.Tbody>
        </Table>
        <p>{warning}</p>
        <FormProblem error={restore.error} />
        <Group justify="flex-end">
          <TakeFile label={t('settings.file.first')} />
          <Button onClick={onClose}>{t('app.cancel')}</Button>
          <Button
            variant="filled"
            color="brick"
            loading={restore.isPending}
            onClick={() => {
              restore.mutate();
            }}
          >
            {t('settings.file.restore')}
          </Button>
        </Group>
      </Stack>
    </Modal>
  );
}
