import { UnstyledButton } from '@mantine/core';
import { CONDITIONS, toggledCondition, type Condition } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './ui.module.css';

interface ConditionPickerProps {
  readonly value: readonly Condition[];
  readonly onChange: (conditions: readonly Condition[]) => void;
}

export function ConditionPicker({ value, onChange }: ConditionPickerProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['conditions']} role="group" aria-label={t('conditions.label')}>
      {CONDITIONS.map((condition) => (
        <UnstyledButton
          key={condition}
          className={classes['condition'] ?? ''}
          aria-pressed={value.includes(condition)}
          onClick={() => {
            onChange(toggledCondition(value, condition));
          }}
        >
          {t(`conditions.${condition}`)}
        </UnstyledButton>
      ))}
    </div>
  );
}
