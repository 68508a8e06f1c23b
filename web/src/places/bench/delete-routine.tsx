import { useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { removeRoutine, type Routine } from '../../api/routines.queries.ts';
import { DeleteQuestion } from '../../ui/confirm-delete.tsx';

interface DeleteRoutineProps {
  readonly routine: Routine;
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

/** Deletes a routine after one question; its runs stay. */
export function DeleteRoutine({ routine, isOpen, onClose }: DeleteRoutineProps): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  return (
    <DeleteQuestion
      isOpen={isOpen}
      onClose={onClose}
      title={t('bench.delete')}
      question={t('bench.deleteSure', { name: routine.name })}
      remove={() => removeRoutine(routine.id)}
      onGone={async () => {
        await navigate(`/students/${routine.studentId}/routines`);
        void queries.invalidateQueries({ queryKey: ['routines', {}], exact: false });
        void queries.invalidateQueries({ queryKey: ['today'] });
      }}
    />
  );
}
