import { Checkbox, Select } from '@mantine/core';
import type { StepSettings } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './ui.module.css';

type Again = NonNullable<StepSettings['again']>;

interface AgainFieldProps {
  readonly again: Again | undefined;
  readonly onSet: (again: Again | undefined) => void;
}

/** Semitones that a second time may go further. */
const FURTHER = ['0', '1', '2', '3', '4', '5', '7', '12'] as const;

/** Whether a ladder comes a second time, how much further, and on what condition. */
export function AgainField({ again, onSet }: AgainFieldProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['rule']}>
      <Select
        size="sm"
        w={190}
        clearable
        label={t('bench.again')}
        placeholder={t('bench.againNo')}
        data={FURTHER.map((value) => ({ value, label: t('bench.further', { count: Number(value) }) }))}
        value={again ? String(again.further) : null}
        onChange={(value) => {
          onSet(value === null ? undefined : { ...again, further: Number(value) });
        }}
      />
      {again && (
        <Checkbox
          label={t('bench.ifEasy')}
          checked={again.ifEasy ?? false}
          onChange={({ currentTarget }) => {
            onSet({ further: again.further, ...(currentTarget.checked && { ifEasy: true }) });
          }}
        />
      )}
    </div>
  );
}
