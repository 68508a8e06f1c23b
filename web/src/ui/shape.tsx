import { Skeleton, Stack } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';

/** The shape of a page that is still coming: a heading and so many rows. */
export function Shape({ rows = 5, height = 64 }: { readonly rows?: number; readonly height?: number }): ReactElement {
  const { t } = useTranslation();
  return (
    <Stack gap="md" role="status" aria-busy="true" aria-label={t('app.loading')} pt="lg">
      <Skeleton height={34} width={280} radius="md" />
      {Array.from({ length: rows }, (_, index) => (
        <Skeleton key={index} height={height} radius="md" />
      ))}
    </Stack>
  );
}
