import { Button, Group, Modal } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { useMutation } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { FormProblem } from './form-problem.tsx';

interface Deletion {
  /** What is deleted, as the button says it. */
  readonly title: string;
  readonly question: string;
  readonly remove: () => Promise<unknown>;
  /** What follows once it is gone. */
  readonly onGone: () => unknown;
}

/** One question before something goes for good. */
export function DeleteQuestion({
  title,
  question,
  remove,
  onGone,
  isOpen,
  onClose,
}: Deletion & { readonly isOpen: boolean; readonly onClose: () => void }): ReactElement {
  const { t } = useTranslation();
  const removal = useMutation({ mutationFn: remove, onSuccess: onGone });
  return (
    <Modal opened={isOpen} onClose={onClose} title={title}>
      <p>{question}</p>
      <FormProblem error={removal.error} />
      <Group justify="flex-end">
        <Button onClick={onClose}>{t('app.cancel')}</Button>
        <Button
          variant="filled"
          color="brick"
          loading={removal.isPending}
          onClick={() => {
            removal.mutate();
          }}
        >
          {title}
        </Button>
      </Group>
    </Modal>
  );
}

/** A button and its question; the button calls what it is given. */
export function ConfirmDelete({
  children,
  ...deletion
}: Deletion & { readonly children: (open: () => void) => ReactElement }): ReactElement {
  const [isOpen, { open, close }] = useDisclosure(false);
  return (
    <>
      {children(open)}
      <DeleteQuestion {...deletion} isOpen={isOpen} onClose={close} />
    </>
  );
}
