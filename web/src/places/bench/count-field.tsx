import { NumberInput } from '@mantine/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';

interface CountFieldProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly usual: string;
  readonly min: number;
  readonly max: number;
  readonly allowsParts?: boolean;
  readonly onSet: (value: number | undefined) => void;
}

/** A number that may be left to its usual value; what is out of bounds stays as typed, says so and is not taken. */
export function CountField({
  label,
  value,
  usual,
  min,
  max,
  allowsParts = false,
  onSet,
}: CountFieldProps): ReactElement {
  const { t } = useTranslation();
  const [refused, refuse] = useState<number | null>(null);
  return (
    <NumberInput
      w={104}
      size="sm"
      label={label}
      clampBehavior="none"
      min={min}
      max={max}
      allowDecimal={allowsParts}
      placeholder={usual}
      value={refused ?? value ?? ''}
      error={refused !== null && t('shelf.work.between', { least: min, most: max })}
      onChange={(typed) => {
        const isTaken = typed === '' || (typeof typed === 'number' && typed >= min && typed <= max);
        refuse(isTaken || typeof typed !== 'number' ? null : typed);
        if (isTaken) onSet(typed === '' ? undefined : typed);
      }}
    />
  );
}
