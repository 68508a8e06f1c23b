import { UnstyledButton } from '@mantine/core';
import type { Condition } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './ui.module.css';

const CONDITIONS: readonly Condition[] = ['fresh', 'heavy', 'tired', 'recovering'];

/** Fresh stands alone; the others combine; a second press takes one back. */
function toggled(conditions: readonly Condition[], pressed: Condition): readonly Condition[] {
  if (conditions.includes(pressed)) return conditions.filter((other) => other !== pressed);
  return pressed === 'fresh' ? ['fresh'] : [...conditions.filter((other) => other !== 'fresh'), pressed];
}

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
            onChange(toggled(value, condition));
          }}
        >
          {t(`conditions.${condition}`)}
        </UnstyledButton>
      ))}
    </div>
  );
}
