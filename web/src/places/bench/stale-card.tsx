import { Button, Group } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './bench.module.css';

/** Two windows wrote: nothing was overwritten, the teacher says which stays. */
export function StaleCard({
  onTake,
  onSave,
}: {
  readonly onTake: () => void;
  readonly onSave: () => void;
}): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['stale']} role="alert">
      <p>
        <b>{t('bench.staleTitle')}</b> {t('bench.staleText')}
      </p>
      <Group>
        <Button onClick={onTake}>{t('bench.takeTheirs')}</Button>
        <Button variant="filled" onClick={onSave}>
          {t('bench.saveMine')}
        </Button>
      </Group>
    </div>
  );
}
