import { Button, Group, Stack, Title } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { IconDownload } from '@tabler/icons-react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { sessionQuery } from '../../api/session.queries.ts';
import { removeStudent, studentFile, type RemovedStudent, type Student } from '../../api/students.queries.ts';
import { dropRecording, recordingsOf } from '../../listening/recordings.ts';
import { momentText } from '../../text/times.ts';
import { ConfirmDelete } from '../../ui/confirm-delete.tsx';
import { FormProblem } from '../../ui/form-problem.tsx';
import { inTenSeconds, offerUndo } from '../../ui/offer-undo.tsx';
import { fileName, saveFile } from '../../ui/save-file.ts';

/** Says what went with a student, and gives it as a file to keep. */
function useProof(): (removed: RemovedStudent) => void {
  const { t } = useTranslation();
  const studio = useQuery(sessionQuery).data?.studioName ?? '';
  return ({ name, at, gone, left }) => {
    const rows = gone.map(({ table, count }) => t(`students.end.rows.${table}`, { count }));
    if (left > 0) {
      notifications.show({ message: t('students.end.leftOver', { name, count: left }), autoClose: false });
      return;
    }
    const proof = [
      t('students.end.proofTitle', { studio }),
      t('students.end.proofName', { name }),
      t('students.end.proofAt', { at: momentText(at) }),
      '',
      ...rows.map((row) => `- ${row}`),
      '',
      t('students.end.proofLeft', { count: left }),
      t('students.end.proofCopies'),
      '',
    ].join('\n');
    offerUndo({
      message: t('students.end.deleted', { name, rows: rows.join(', ') }),
      label: t('students.end.proof'),
      undo: () => {
        saveFile(`${fileName(name)}-deleted.txt`, proof, 'text/plain');
      },
    });
  };
}

function DeleteStudent({ student }: { readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const prove = useProof();
  const erase = async (): Promise<void> => {
    const removed = await removeStudent(student.id);
    for (const { id } of await recordingsOf(student.id)) await dropRecording(id);
    queries.removeQueries({ queryKey: ['students', student.id] });
    void queries.invalidateQueries();
    prove(removed);
  };
  return (
    <ConfirmDelete
      title={t('students.removeStudent')}
      question={t('students.removeSure', { name: student.name })}
      remove={async () => {
        await navigate('/students');
      }}
      onGone={() => {
        inTenSeconds(erase, {
          message: t('students.goingIn', { name: student.name }),
          label: t('students.keepStudent'),
        });
      }}
    >
      {(open) => (
        <Button variant="subtle" c="var(--brick-text)" onClick={open}>
          {t('students.removeStudent')}
        </Button>
      )}
    </ConfirmDelete>
  );
}

/** What a studio keeps of one student: taken as a file, or deleted for good. */
export function StudentEnd({ student }: { readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const take = useMutation({
    mutationFn: () => studentFile(student.id),
    onSuccess: (file) => {
      saveFile(`${fileName(student.name)}.json`, JSON.stringify(file, null, 2), 'application/json');
    },
  });
  return (
    <Stack gap="xs">
      <Title order={2} fz={21}>
        {t('students.end.title')}
      </Title>
      <span>{t('students.end.text')}</span>
      <FormProblem error={take.error} />
      <Group justify="space-between">
        <Button
          leftSection={<IconDownload size={16} aria-hidden />}
          loading={take.isPending}
          onClick={() => {
            take.mutate();
          }}
        >
          {t('students.end.file')}
        </Button>
        <DeleteStudent student={student} />
      </Group>
    </Stack>
  );
}
