import { Container, Stack, Text, Title } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { TERM_NAMES } from '../../text/en-terms.ts';
import classes from './about.module.css';

export function AboutPlace(): ReactElement {
  const { t } = useTranslation();
  return (
    <Container size="sm" py={40}>
      <Stack>
        <Title order={1}>{t('about.heading')}</Title>
        <Text size="lg">{t('about.text')}</Text>
        <Title order={2} mt="lg">
          {t('about.words')}
        </Title>
        <dl className={classes['words']}>
          {TERM_NAMES.map((name) => (
            <div key={name} id={name}>
              <dt>{t(`terms.${name}.word`)}</dt>
              <dd>{t(`terms.${name}.says`)}</dd>
            </div>
          ))}
        </dl>
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
