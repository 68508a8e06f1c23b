import { NumberInput } from '@mantine/core';
import type { ReactElement } from 'react';

interface CountFieldProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly usual: string;
  readonly min: number;
  readonly max: number;
  readonly allowsParts?: boolean;
  readonly onSet: (value: number | undefined) => void;
}

/** A number that may be left to its usual value; what is out of bounds is not taken. */
export function CountField({
  label,
  value,
  usual,
  min,
  max,
  allowsParts = false,
  onSet,
}: CountFieldProps): ReactElement {
  return (
    <NumberInput
      w={104}
      size="sm"
      label={label}
      min={min}
      max={max}
      clampBehavior="blur"
      allowDecimal={allowsParts}
      placeholder={usual}
      value={value ?? ''}
      onChange={(typed) => {
        if (typed === '') onSet(undefined);
        else if (typeof typed === 'number' && typed >= min && typed <= max) onSet(typed);
      }}
    />
  );
}
