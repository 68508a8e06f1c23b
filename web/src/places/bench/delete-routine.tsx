import { ActionIcon, Tooltip } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { removeRoutine, type Routine } from '../../api/routines.queries.ts';
import { ConfirmDelete } from '../../ui/confirm-delete.tsx';

/** Deletes a routine after one question; its runs stay. */
export function DeleteRoutine({ routine }: { readonly routine: Routine }): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  return (
    <ConfirmDelete
      title={t('bench.delete')}
      question={t('bench.deleteSure', { name: routine.name })}
      remove={() => removeRoutine(routine.id)}
      onGone={async () => {
        await navigate(`/students/${routine.studentId}/routines`);
        void queries.invalidateQueries({ queryKey: ['routines', {}], exact: false });
        void queries.invalidateQueries({ queryKey: ['today'] });
      }}
    >
      {(open) => (
        <Tooltip label={t('bench.delete')}>
          <ActionIcon aria-label={t('bench.delete')} onClick={open}>
            <IconTrash size={18} />
          </ActionIcon>
        </Tooltip>
      )}
    </ConfirmDelete>
  );
}
