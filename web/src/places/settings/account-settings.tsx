import { Button, Fieldset, Group, PasswordInput, SimpleGrid, Stack } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { changePassword, closeAccount, newRecoveryCodes } from '../../api/studio.queries.ts';
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

function Codes(): ReactElement {
  const { t } = useTranslation();
  const [password, setPassword] = useState('');
  const make = useMutation({
    mutationFn: newRecoveryCodes,
    onSuccess: () => {
      setPassword('');
    },
  });
  return (
    <Fieldset legend={t('settings.account.codes')}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          make.mutate({ password });
        }}
      >
        <Stack gap="sm">
          <p className={classes['hint']}>{t('settings.account.codesHint')}</p>
          {make.data && <RecoveryCodes codes={make.data.codes} />}
          <PasswordInput
            label={t('settings.account.yourPassword')}
            autoComplete="current-password"
            required
            value={password}
            onChange={({ currentTarget }) => {
              setPassword(currentTarget.value);
            }}
          />
          <FormProblem error={make.error} />
          <Group>
            <Button type="submit" loading={make.isPending}>
              {t('settings.account.newCodes')}
            </Button>
          </Group>
        </Stack>
      </form>
    </Fieldset>
  );
}

function Close(): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [password, setPassword] = useState('');
  const close = useMutation({
    mutationFn: closeAccount,
    onSuccess: async () => {
      await clearRecordings();
      await navigate('/enter');
      queries.clear();
    },
  });
  return (
    <Fieldset legend={t('settings.account.close')}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          close.mutate({ password });
        }}
      >
        <Stack gap="sm">
          <p className={classes['hint']}>{t('settings.account.closeHint')}</p>
          <PasswordInput
            label={t('settings.account.yourPassword')}
            autoComplete="current-password"
            required
            value={password}
            onChange={({ currentTarget }) => {
              setPassword(currentTarget.value);
            }}
          />
          <FormProblem error={close.error} />
          <Group>
            <Button type="submit" c="var(--brick-text)" disabled={password === ''} loading={close.isPending}>
              {t('settings.account.closeNow')}
            </Button>
          </Group>
        </Stack>
      </form>
    </Fieldset>
  );
}

/** Password, recovery codes, open sessions, and the end of it all. */
export function AccountSettings(): ReactElement {
  return (
    <Stack gap="lg">
      <SimpleGrid cols={{ base: 1, md: 3 }} spacing="lg">
        <Password />
        <Codes />
        <Close />
      </SimpleGrid>
      <OpenSessions />
    </Stack>
  );
}
