import { Button, Loader, Modal, Stack } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { newRecoveryCodes } from '../../api/studio.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { RecoveryCodes } from '../../ui/recovery-codes.tsx';

/** The recovery codes of a new account, shown once before the studio opens. */
export function NewCodes({ onKept }: { readonly onKept: () => void }): ReactElement {
  const { t } = useTranslation();
  const codes = useQuery({ queryKey: ['new-codes'], queryFn: newRecoveryCodes, staleTime: Infinity, gcTime: 0 });
  return (
    <Modal
      opened
      onClose={onKept}
      withCloseButton={false}
      closeOnClickOutside={false}
      title={t('settings.account.codesTitle')}
    >
      <Stack>
        <p style={{ margin: 0 }}>{t('settings.account.codesHint')}</p>
        {codes.isPending && <Loader />}
        {codes.data && <RecoveryCodes codes={codes.data.codes} />}
        <FormProblem error={codes.error} />
        <Button variant="filled" disabled={codes.isPending} data-autofocus onClick={onKept}>
          {t('settings.account.codesKept')}
        </Button>
      </Stack>
    </Modal>
  );
}
