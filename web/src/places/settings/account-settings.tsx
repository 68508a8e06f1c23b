import { Button, Fieldset, Group, PasswordInput, SimpleGrid, Stack, TextInput } from '@mantine/core';
import { useMutation, useQuery, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { useState, type ReactElement, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { sessionQuery } from '../../api/session.queries.ts';
import { changeEmail, changePassword, closeAccount, newRecoveryCodes } from '../../api/studio.queries.ts';
import { clearRecordings } from '../../listening/recordings.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { RecoveryCodes } from '../../ui/recovery-codes.tsx';
import { OpenSessions } from './open-sessions.tsx';
import classes from './settings.module.css';

function Password(): ReactElement {
  const { t } = useTranslation();
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const change = useMutation({
    mutationFn: changePassword,
    onSuccess: () => {
      setCurrent('');
      setNext('');
    },
  });
  return (
    <Fieldset legend={t('settings.account.password')}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate({ current, next });
        }}
      >
        <Stack gap="sm">
          <PasswordInput
            label={t('settings.account.current')}
            autoComplete="current-password"
            required
            value={current}
            onChange={({ currentTarget }) => {
              setCurrent(currentTarget.value);
            }}
          />
          <PasswordInput
            label={t('settings.account.next')}
            autoComplete="new-password"
            required
            minLength={10}
            value={next}
            onChange={({ currentTarget }) => {
              setNext(currentTarget.value);
            }}
          />
          <FormProblem error={change.error} />
          {change.data && (
            <div role="status">
              <p className={classes['hint']}>{t('settings.account.changed')}</p>
              <RecoveryCodes codes={change.data.codes} />
            </div>
          )}
          <Group>
            <Button type="submit" loading={change.isPending}>
              {t('settings.account.change')}
            </Button>
          </Group>
        </Stack>
      </form>
    </Fieldset>
  );
}

interface WithPasswordProps {
  readonly legend: string;
  readonly hint: string;
  readonly act: string;
  readonly mutation: Pick<UseMutationResult<unknown, Error, string>, 'mutate' | 'error' | 'isPending'>;
  readonly isDanger?: boolean;
  readonly children?: ReactNode;
}

/** What is done to an account by whoever knows its password. */
function WithPassword({ legend, hint, act, mutation, isDanger, children }: WithPasswordProps): ReactElement {
  const { t } = useTranslation();
  const [password, setPassword] = useState('');
  return (
    <Fieldset legend={legend}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          mutation.mutate(password, {
            onSuccess: () => {
              setPassword('');
            },
          });
        }}
      >
        <Stack gap="sm">
          <p className={classes['hint']}>{hint}</p>
          {children}
          <PasswordInput
            label={t('settings.account.yourPassword')}
            autoComplete="current-password"
            required
            value={password}
            onChange={({ currentTarget }) => {
              setPassword(currentTarget.value);
            }}
          />
          <FormProblem error={mutation.error} />
          <Group>
            <Button
              type="submit"
              {...(isDanger && { c: 'var(--brick-text)', disabled: password === '' })}
              loading={mutation.isPending}
            >
              {act}
            </Button>
          </Group>
        </Stack>
      </form>
    </Fieldset>
  );
}

function Email(): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const now = useQuery(sessionQuery).data?.email ?? '';
  const [email, setEmail] = useState('');
  const change = useMutation({
    mutationFn: (password: string) => changeEmail({ email, password }),
    onSuccess: () => {
      setEmail('');
      void queries.invalidateQueries({ queryKey: sessionQuery.queryKey });
    },
  });
  return (
    <WithPassword
      legend={t('settings.account.email')}
      hint={t('settings.account.emailNow', { email: now })}
      act={t('settings.account.change')}
      mutation={change}
    >
      {change.isSuccess && <p role="status">{t('settings.account.emailChanged')}</p>}
      <TextInput
        label={t('settings.account.newEmail')}
        type="email"
        autoComplete="email"
        required
        maxLength={254}
        value={email}
        onChange={({ currentTarget }) => {
          setEmail(currentTarget.value);
        }}
      />
    </WithPassword>
  );
}

function Codes(): ReactElement {
  const { t } = useTranslation();
  const make = useMutation({ mutationFn: (password: string) => newRecoveryCodes({ password }) });
  return (
    <WithPassword
      legend={t('settings.account.codes')}
      hint={t('entry.codes.hint')}
      act={t('settings.account.newCodes')}
      mutation={make}
    >
      {make.data && <RecoveryCodes codes={make.data.codes} />}
    </WithPassword>
  );
}

function Close(): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const close = useMutation({
    mutationFn: (password: string) => closeAccount({ password }),
    onSuccess: async () => {
      await clearRecordings();
      await navigate('/enter');
      queries.clear();
    },
  });
  return (
    <WithPassword
      legend={t('settings.account.close')}
      hint={t('settings.account.closeHint')}
      act={t('settings.account.closeNow')}
      mutation={close}
      isDanger
    />
  );
}

/** Password, address, recovery codes, open sessions, and the end of it all. */
export function AccountSettings(): ReactElement {
  return (
    <Stack gap="lg">
      <SimpleGrid cols={{ base: 1, md: 2 }} spacing="lg">
        <Password />
        <Email />
        <Codes />
        <Close />
      </SimpleGrid>
      <OpenSessions />
    </Stack>
  );
}
