import { Container, Stack, Text, Title } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';

export function AboutPlace(): ReactElement {
  const { t } = useTranslation();
  return (
    <Container size="sm" py={40}>
      <Stack>
        <Title order={1}>{t('about.heading')}</Title>
        <Text size="lg">{t('about.text')}</Text>
        <Title order={2} mt="lg">
          {t('about.credits')}
        </Title>
        <Text>{t('about.piano')}</Text>
        <Text>{t('about.fonts')}</Text>
        <Text>{t('about.figures')}</Text>
      </Stack>
    </Container>
  );
}
