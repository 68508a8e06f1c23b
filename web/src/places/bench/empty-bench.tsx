import { Button, Group } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Adding } from './use-adding.ts';
import classes from './bench.module.css';

const PLAIN_STEPS = [
  'standing-check',
  'long-hiss',
  'lip-trill-on-five',
  'hum-on-the-chord',
  'up-and-down-five',
  'falling-hum',
];

/** A bench without steps: choose the first, or begin with a plain order. */
export function EmptyBench({ adding }: { readonly adding: Adding }): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['empty']}>
      <p className="heading">{t('bench.empty')}</p>
      <Group>
        <Button onClick={adding.open}>{t('bench.addFirst')}</Button>
        <Button
          onClick={() => {
            adding.add(PLAIN_STEPS);
          }}
        >
          {t('bench.suggestion')}
        </Button>
      </Group>
    </div>
  );
}
