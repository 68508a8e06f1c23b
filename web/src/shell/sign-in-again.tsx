import { Button, Modal, Stack } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { openDemo, sessionQuery, takeSession, type Session } from '../api/session.queries.ts';
import { markSignedIn } from '../api/signed-out.ts';
import { SignInForm } from './sign-in-form.tsx';
import { FormProblem } from '../ui/form-problem.tsx';

interface SignInAgainProps {
  readonly opened: boolean;
  readonly onClose: () => void;
}

/** Signs in over the page that is open: what it shows and what waits on it stay. */
export function SignInAgain({ opened, onClose }: SignInAgainProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const before = queries.getQueryData(sessionQuery.queryKey);
  const enter = (session: Session): void => {
    markSignedIn();
    // The page belongs to the studio it was opened in; another one begins at its own front door.
    if (before && before.studioId !== session.studioId) window.location.assign('/today');
    takeSession(queries, session);
    void queries.invalidateQueries();
    onClose();
  };
  const demo = useMutation({ mutationFn: openDemo, onSuccess: enter });
  return (
    <Modal opened={opened} onClose={onClose} title={t('app.signInAgain')}>
      {before?.isDemo ? (
        <Stack>
          <FormProblem error={demo.error} />
          <Button
            variant="filled"
            loading={demo.isPending}
            onClick={() => {
              demo.mutate();
            }}
          >
            {t('entry.demo')}
          </Button>
        </Stack>
      ) : (
        <SignInForm onEnter={enter} />
      )}
    </Modal>
  );
}
