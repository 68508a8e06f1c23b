import { Text } from '@mantine/core';
import type { ReactElement } from 'react';
import { errorText } from '../text/say.ts';

/** Why a form was not taken, under its fields. */
export function FormProblem({ error }: { readonly error: Error | null }): ReactElement | null {
  if (!error) return null;
  return (
    <Text size="sm" c="var(--brick-text)" role="alert">
      {errorText(error)}
    </Text>
  );
}
