import { Button, Group, Modal } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { useMutation } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { FormProblem } from './form-problem.tsx';

interface ConfirmDeleteProps {
  /** What is deleted, as the button says it. */
  readonly title: string;
  readonly question: string;
  readonly remove: () => Promise<unknown>;
  /** What follows once it is gone. */
  readonly onGone: () => Promise<unknown>;
  /** The button that asks; it calls what it is given. */
  readonly children: (open: () => void) => ReactElement;
}

/** A button, and one question before something goes for good. */
export function ConfirmDelete({ title, question, remove, onGone, children }: ConfirmDeleteProps): ReactElement {
  const { t } = useTranslation();
  const [isOpen, { open, close }] = useDisclosure(false);
  const removal = useMutation({ mutationFn: remove, onSuccess: onGone });
  return (
    <>
      {children(open)}
      <Modal opened={isOpen} onClose={close} title={title}>
        <p>{question}</p>
        <FormProblem error={removal.error} />
        <Group justify="flex-end">
          <Button onClick={close}>{t('app.cancel')}</Button>
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
    </>
  );
}
