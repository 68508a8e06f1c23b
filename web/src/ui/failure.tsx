import { Button, Stack, Text, Title } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { refusalOf, sayRefusal } from '../text/say.ts';

interface FailureProps {
  readonly error: unknown;
  readonly onRetry?: () => void;
}

/** What happened, and what to do. */
export function Failure({ error, onRetry }: FailureProps): ReactElement {
  const { t } = useTranslation();
  const { message, remedy } = sayRefusal(refusalOf(error));
  return (
    <Stack align="flex-start" gap="xs" role="alert" p="lg">
      <Title order={2}>{t('app.failed')}</Title>
      <Text>{message}</Text>
      {remedy && <Text c="dimmed">{remedy}</Text>}
      {onRetry && <Button onClick={onRetry}>{t('app.tryAgain')}</Button>}
    </Stack>
  );
}
