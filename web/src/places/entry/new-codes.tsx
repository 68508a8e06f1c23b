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
      title={t('settings.account.codesTitle')}
    >
      <Stack>
        <p style={{ margin: 0 }}>{t('settings.account.codesHint')}</p>
        <RecoveryCodes codes={codes} />
        <Button variant="filled" data-autofocus onClick={onKept}>
          {t('settings.account.codesKept')}
        </Button>
      </Stack>
    </Modal>
  );
}
