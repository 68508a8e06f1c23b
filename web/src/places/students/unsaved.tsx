import { Button, Group, Modal } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';

interface UnsavedProps {
  readonly isOpen: boolean;
  readonly canSave: boolean;
  readonly onStay: () => void;
  readonly onDrop: () => void;
  readonly onSave: () => void;
}

/** Asks before what was typed is left behind. */
export function Unsaved({ isOpen, canSave, onStay, onDrop, onSave }: UnsavedProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Modal opened={isOpen} onClose={onStay} title={t('students.leaving.title')}>
      <p>{t('students.leaving.text')}</p>
      <Group justify="flex-end">
        <Button onClick={onDrop}>{t('students.leaving.drop')}</Button>
        <Button onClick={onStay}>{t('students.leaving.stay')}</Button>
        <Button variant="filled" disabled={!canSave} onClick={onSave}>
          {t('students.leaving.save')}
        </Button>
      </Group>
    </Modal>
  );
}
