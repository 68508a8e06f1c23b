import { Button, Group, Modal } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { FormProblem } from './form-problem.tsx';

interface ConfirmDeleteProps {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  /** What is deleted, as the button says it. */
  readonly title: string;
  readonly question: string;
  readonly isBusy: boolean;
  readonly error: Error | null;
  readonly onConfirm: () => void;
}

/** One question before something goes for good. */
export function ConfirmDelete(props: ConfirmDeleteProps): ReactElement {
  const { t } = useTranslation();
  const { isOpen, onClose, title, question, isBusy, error, onConfirm } = props;
  return (
    <Modal opened={isOpen} onClose={onClose} title={title}>
      <p>{question}</p>
      <FormProblem error={error} />
      <Group justify="flex-end">
        <Button onClick={onClose}>{t('app.cancel')}</Button>
        <Button variant="filled" color="brick" loading={isBusy} onClick={onConfirm}>
          {title}
        </Button>
      </Group>
    </Modal>
  );
}
