import { Button, PasswordInput, Stack, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useMutation } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { signIn, type Session } from '../api/session.queries.ts';
import { FormProblem } from '../ui/form-problem.tsx';

export function SignInForm({ onEnter }: { readonly onEnter: (session: Session) => void }): ReactElement {
  const { t } = useTranslation();
  const form = useForm({ initialValues: { email: '', password: '' } });
  const send = useMutation({ mutationFn: signIn, onSuccess: onEnter });
  return (
    <form
      onSubmit={form.onSubmit((values) => {
        send.mutate(values);
      })}
    >
      <Stack gap="sm">
        <TextInput
          label={t('entry.email')}
          type="email"
          autoComplete="username"
          required
          {...form.getInputProps('email')}
        />
        <PasswordInput
          label={t('entry.password')}
          autoComplete="current-password"
          required
          {...form.getInputProps('password')}
        />
        <FormProblem error={send.error} />
        <Button type="submit" loading={send.isPending}>
          {t('entry.signIn')}
        </Button>
      </Stack>
    </form>
  );
}
