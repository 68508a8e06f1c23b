import { Button, PasswordInput, Stack, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useMutation } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { SessionWithCodes } from '../../api/session.queries.ts';
import { recover } from '../../api/studio.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';

/** The way in without a password: one of the codes from the day of the sign-up. */
export function RecoverForm({ onEnter }: { readonly onEnter: (session: SessionWithCodes) => void }): ReactElement {
  const { t } = useTranslation();
  const form = useForm({ initialValues: { email: '', code: '', password: '' } });
  const send = useMutation({ mutationFn: recover, onSuccess: onEnter });
  return (
    <form
      onSubmit={form.onSubmit((values) => {
        send.mutate(values);
      })}
    >
      <Stack gap="sm">
        <TextInput label={t('entry.email')} type="email" required {...form.getInputProps('email')} />
        <TextInput label={t('entry.code')} required maxLength={40} autoComplete="off" {...form.getInputProps('code')} />
        <PasswordInput
          label={t('entry.newPassword')}
          required
          minLength={10}
          autoComplete="new-password"
          {...form.getInputProps('password')}
        />
        <FormProblem error={send.error} />
        <Button type="submit" loading={send.isPending}>
          {t('entry.recover')}
        </Button>
      </Stack>
    </form>
  );
}
