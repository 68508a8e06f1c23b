import { Button, PasswordInput, Select, Stack, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useMutation } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { ApiProblem } from '../../api/problem.ts';
import { signUp, type SessionWithCodes } from '../../api/session.queries.ts';
import { say } from '../../text/say.ts';
import { FormProblem } from '../../ui/form-problem.tsx';

const OWN_ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;
const ZONES = [...new Set([OWN_ZONE, ...Intl.supportedValuesOf('timeZone')])];

export function SignUpForm({ onEnter }: { readonly onEnter: (session: SessionWithCodes) => void }): ReactElement {
  const { t } = useTranslation();
  const form = useForm({ initialValues: { studioName: '', name: '', email: '', password: '', timeZone: OWN_ZONE } });
  const send = useMutation({
    mutationFn: signUp,
    onSuccess: onEnter,
    onError: (error) => {
      if (error instanceof ApiProblem)
        form.setErrors(Object.fromEntries(error.errors.map(({ field, ...fault }) => [field, say(fault)])));
    },
  });
  return (
    <form
      onSubmit={form.onSubmit((values) => {
        send.mutate(values);
      })}
    >
      <Stack gap="sm">
        <TextInput label={t('entry.studio')} required maxLength={120} {...form.getInputProps('studioName')} />
        <TextInput
          label={t('entry.name')}
          required
          maxLength={120}
          autoComplete="name"
          {...form.getInputProps('name')}
        />
        <TextInput
          label={t('entry.email')}
          type="email"
          required
          autoComplete="username"
          {...form.getInputProps('email')}
        />
        <PasswordInput
          label={t('entry.newPassword')}
          required
          minLength={10}
          autoComplete="new-password"
          {...form.getInputProps('password')}
        />
        <Select label={t('entry.timeZone')} data={ZONES} searchable {...form.getInputProps('timeZone')} />
        <FormProblem error={send.error} />
        <Button type="submit" loading={send.isPending}>
          {t('entry.start')}
        </Button>
      </Stack>
    </form>
  );
}
