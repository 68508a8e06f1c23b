import { Text } from '@mantine/core';
import { SoftLarkError } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { errorText } from '../text/say.ts';
import { ApiProblem } from '../api/problem.ts';

/** Why a form was not taken, under its fields. */
export function FormProblem({ error }: { readonly error: Error | null }): ReactElement | null {
  if (!error) return null;
  const isSaidWhole = errorText(error) !== error.message;
  const remedy = !isSaidWhole && (error instanceof ApiProblem || error instanceof SoftLarkError) ? error.remedy : '';
  return (
    <Text size="sm" c="var(--brick-text)" role="alert">
      {errorText(error)} {remedy}
    </Text>
  );
}
