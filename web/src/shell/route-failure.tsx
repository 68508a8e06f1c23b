import { Button, Container, Stack, Text, Title } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useRouteError } from 'react-router';
import { errorText } from '../text/say.ts';

/** An address where nothing is, or a page that broke: what to do next. */
export function RouteFailure(): ReactElement {
  const { t } = useTranslation();
  const error = useRouteError();
  return (
    <Container size="sm" py={80}>
      <Stack align="flex-start" role="alert">
        <Title order={1}>{error ? t('app.failed') : t('app.notHere')}</Title>
        {error instanceof Error && <Text c="dimmed">{errorText(error)}</Text>}
        <Button component={Link} to="/today">
          {t('app.backToToday')}
        </Button>
      </Stack>
    </Container>
  );
}
