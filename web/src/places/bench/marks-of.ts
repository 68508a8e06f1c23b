import type { Finding, Severity } from '@soft-lark/core';

/** Steps the review has something to say about, with how much the gravest of it matters. */
export function marksOf(findings: readonly Finding[]): ReadonlyMap<string, Severity> {
  return new Map(
    [...findings].reverse().flatMap(({ stepId, severity }) => (stepId ? [[stepId, severity] as const] : [])),
  );
}
