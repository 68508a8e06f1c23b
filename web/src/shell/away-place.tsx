import { Button, Container, Stack, Text, Title } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useKeptRuns } from '../runs/run-store.ts';
import { deviceKeys } from '../device/device-store.ts';
import { momentText } from '../text/times.ts';
import { Brand } from './brand.tsx';

const DRAFTS = 'soft-lark.draft.';

/** The page without its server: says so, and what this device keeps until it is back. */
export function AwayPlace({ onRetry }: { readonly onRetry: () => void }): ReactElement {
  const { t } = useTranslation();
  const runs = useKeptRuns();
  const drafts = deviceKeys(DRAFTS).length;
  return (
    <Container size="sm" py={80}>
      <Stack align="flex-start">
        <Brand name={t('app.name')} />
        <Title order={1}>{t('app.noServer')}</Title>
        <Text role="status">{t('app.noServerText')}</Text>
        {runs.length + drafts > 0 && (
          <>
            <Title order={2}>{t('app.onDevice')}</Title>
            <ul>
              {runs.map((run) => (
                <li key={run.id}>
                  {t('app.keptRun', {
                    routine: run.routineName,
                    when: momentText(run.startedAt),
                    count: run.state.sung.length,
                  })}
                </li>
              ))}
              {drafts > 0 && <li>{t('app.keptDrafts', { count: drafts })}</li>}
            </ul>
          </>
        )}
        <Button variant="filled" onClick={onRetry}>
          {t('app.tryAgain')}
        </Button>
      </Stack>
    </Container>
  );
}
