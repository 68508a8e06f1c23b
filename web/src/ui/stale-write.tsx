import { Button, Group } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { ApiProblem } from '../api/problem.ts';
import classes from './ui.module.css';

/** What is stored now, where a write was refused because another window was faster; else null. */
export function staleOf(error: Error | null): unknown {
  return error instanceof ApiProblem && error.code === 'STALE_WRITE' ? error.current : null;
}

interface StaleWriteProps {
  readonly text: string;
  readonly onTheirs: () => void;
  readonly onMine: () => void;
}

/** What is edited here was changed in another window meanwhile: theirs is taken, or this one is saved over it. */
export function StaleWrite({ text, onTheirs, onMine }: StaleWriteProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['stale']} role="alert">
      <p>{text}</p>
      <Group>
        <Button onClick={onTheirs}>{t('app.takeTheirs')}</Button>
        <Button variant="filled" onClick={onMine}>
          {t('app.saveMine')}
        </Button>
      </Group>
    </div>
  );
}
