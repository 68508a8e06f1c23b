import type { Statement } from '@soft-lark/core';

/** A refusal of the server, as `application/problem+json` says it. */
export class ApiProblem extends Error {
  readonly status: number;
  readonly code: string;
  readonly remedy: string;
  /** What stands in the sentence of the code, where the page says it in its own words. */
  readonly values: NonNullable<Statement['values']>;
  /** The fields that were refused, and why. */
  readonly errors: readonly (Statement & { readonly field: string })[];
  /** What is stored now, where a stale write was refused. */
  readonly current: unknown;

  constructor(body: Record<string, unknown>, status: number) {
    super(typeof body['detail'] === 'string' ? body['detail'] : `The server answered ${String(status)}.`);
    this.name = 'ApiProblem';
    this.status = status;
    this.code = typeof body['code'] === 'string' ? body['code'] : 'UNKNOWN';
    this.remedy = typeof body['remedy'] === 'string' ? body['remedy'] : '';
    this.values = (body['values'] ?? {}) as NonNullable<Statement['values']>;
    this.errors = Array.isArray(body['errors']) ? (body['errors'] as ApiProblem['errors']) : [];
    this.current = body['current'];
  }
}

/** What may pass by itself: the server not reached, its database away or full, or a fault nobody foresaw. */
export function mayPass(error: unknown): boolean {
  return error instanceof ApiProblem ? error.status >= 500 : error instanceof TypeError;
}

/** The session has ended; what was asked for waits until somebody signs in again. */
export function isSignedOut(error: unknown): boolean {
  return error instanceof ApiProblem && error.code === 'SIGNED_OUT';
}
