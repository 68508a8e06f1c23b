import { Button, TextInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { OrderActs } from './use-order-acts.ts';
import classes from './bench.module.css';

interface SelectedBarProps {
  readonly ids: readonly string[];
  /** The block they are in already, all of them. */
  readonly block: string | undefined;
  readonly isLocked: boolean;
  readonly acts: OrderActs;
}

/** What can be done with several steps at once. */
export function SelectedBar({ ids, block, isLocked, acts }: SelectedBarProps): ReactElement | null {
  const { t } = useTranslation();
  const [name, setName] = useState('');
  if (ids.length === 0) return null;
  return (
    <div className={classes['selected']} role="toolbar" aria-label={t('bench.several', { count: ids.length })}>
      <b>{t('bench.several', { count: ids.length })}</b>
      <Button
        size="xs"
        onClick={() => {
          acts.copy(ids);
        }}
      >
        {t('bench.duplicate')}
      </Button>
      <Button
        size="xs"
        onClick={() => {
          acts.lock(ids, !isLocked);
        }}
      >
        {isLocked ? t('bench.unpinAll') : t('bench.pinAll')}
      </Button>
      <Button
        size="xs"
        onClick={() => {
          acts.remove(ids);
        }}
      >
        {t('bench.takeOff')}
      </Button>
      {block === undefined ? (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            acts.block(ids, name.trim() || t('bench.blockName'));
            setName('');
          }}
        >
          <TextInput
            size="xs"
            maxLength={60}
            aria-label={t('bench.blockLabel')}
            placeholder={t('bench.blockName')}
            value={name}
            onChange={({ currentTarget }) => {
              setName(currentTarget.value);
            }}
          />
          <Button size="xs" type="submit">
            {t('bench.makeBlock')}
          </Button>
        </form>
      ) : (
        <Button
          size="xs"
          onClick={() => {
            acts.block(ids, undefined);
          }}
        >
          {t('bench.takeApart')}
        </Button>
      )}
    </div>
  );
}
