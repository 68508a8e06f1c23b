import { Button, Stack, Text, Title } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';

/** A day without lessons says what to do next. */
export function NoLessons({ hasStudents }: { readonly hasStudents: boolean }): ReactElement {
  const { t } = useTranslation();
  return (
    <Stack align="flex-start" gap="sm" py="xl" maw={520}>
      <Title order={2}>{t('today.emptyTitle')}</Title>
      <Text size="lg" c="dimmed">
        {hasStudents ? t('today.emptyText') : t('today.emptyNew')}
      </Text>
      <Button
        component={Link}
        to={hasStudents ? '/students' : '/students?add=1'}
        variant={hasStudents ? 'default' : 'filled'}
      >
        {hasStudents ? t('app.places.students') : t('today.addStudent')}
      </Button>
    </Stack>
  );
}
