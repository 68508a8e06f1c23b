import { Button, Modal, Stack } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { RecoveryCodes } from '../../ui/recovery-codes.tsx';

interface NewCodesProps {
  readonly codes: readonly string[];
  readonly onKept: () => void;
}

/** The recovery codes of an account, shown once before the studio opens. */
export function NewCodes({ codes, onKept }: NewCodesProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Modal
      opened
      onClose={() => undefined}
      withCloseButton={false}
      closeOnClickOutside={false}
      closeOnEscape={false}
      title={t('entry.codes.title')}
    >
      <Stack>
        <p style={{ margin: 0 }}>{t('entry.codes.hint')}</p>
        <RecoveryCodes codes={codes} />
        <Button variant="filled" data-autofocus onClick={onKept}>
          {t('entry.codes.kept')}
        </Button>
      </Stack>
    </Modal>
  );
}
