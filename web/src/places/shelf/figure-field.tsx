import { NumberInput } from '@mantine/core';
import type { ReactElement } from 'react';

interface FigureFieldProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly onChange: (value: number) => void;
  /** What is wrong with it, by the core. */
  readonly error: string | undefined;
  readonly decimals?: number;
}

/** A figure that is taken as it is typed; whether it may be so is said beside it, and nothing is lost. */
export function FigureField({ label, value, onChange, error, decimals = 0 }: FigureFieldProps): ReactElement {
  return (
    <NumberInput
      label={label}
      clampBehavior="none"
      decimalScale={decimals}
      allowDecimal={decimals > 0}
      value={value === undefined || Number.isNaN(value) ? '' : value}
      error={error}
      onChange={(typed) => {
        onChange(typeof typed === 'number' ? typed : Number.NaN);
      }}
    />
  );
}
