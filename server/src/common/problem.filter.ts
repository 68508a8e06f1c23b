import { randomUUID } from 'node:crypto';
import { Catch, HttpException, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { SoftLarkError, type Refusal } from '@soft-lark/core';
import type { Response } from 'express';
import type { Logger } from 'pino';
import { databaseFault, field, type DatabaseFault } from './database-faults.ts';
import { Problem } from './problem.ts';

const CODES: Readonly<Record<number, Refusal>> = {
  400: 'BAD_REQUEST',
  401: 'SIGNED_OUT',
  403: 'FORBIDDEN',
  404: 'NOT_FOUND',
  413: 'TOO_LARGE',
  429: 'TOO_MANY_TRIES',
};

const TRIED_AGAIN = { remedy: 'Nothing is lost; it is tried again in a moment.' };

/** What passes by itself is 503, so that the page tries again; what somebody else took away is said. */
const FAULT_PROBLEMS: Readonly<Record<DatabaseFault, () => Problem>> = {
  away: () => new Problem(503, 'DATABASE_AWAY', 'The database does not answer just now.', TRIED_AGAIN),
  full: () =>
    new Problem(503, 'DATABASE_FULL', 'The database has no room to write just now.', {
      remedy:
        'What you did is kept in this window and tried again. Whoever runs the server has to make room on its disk.',
    }),
  slow: () => new Problem(503, 'DATABASE_SLOW', 'The database took too long over this.', TRIED_AGAIN),
  crossed: () => new Problem(503, 'CROSSED', 'Two changes crossed.', TRIED_AGAIN),
  twice: () =>
    new Problem(409, 'TWICE', 'This is there already, or another change came first.', {
      remedy: 'Load the page again and look.',
    }),
  orphan: () =>
    new Problem(404, 'NOT_FOUND', 'What this belongs to was removed meanwhile.', {
      remedy: 'Go back to the list; it may have been removed in another window.',
    }),
};

/** Seconds after which a passing fault, or too many tries, are worth another try. */
const RETRY_AFTER: Readonly<Record<number, string>> = { 429: '60', 503: '3' };

function asProblem(error: unknown): Problem | null {
  if (error instanceof Problem) return error;
  if (error instanceof SoftLarkError) return Problem.of(error);
  const fault = databaseFault(error);
  if (fault) return FAULT_PROBLEMS[fault]();
  const status = error instanceof HttpException ? error.getStatus() : Number(field(error, 'status') ?? 500);
  if (status === 413)
    return new Problem(413, 'TOO_LARGE', 'That is more at once than can be taken.', {
      remedy: 'Send less at a time.',
      values: { context: 'request' },
    });
  if (status === 429)
    return new Problem(429, 'TOO_MANY_TRIES', 'Too many tries in a short time.', {
      remedy: 'Wait a minute, then try again.',
    });
  if (status >= 400 && status < 500)
    return new Problem(
      status,
      CODES[status] ?? 'REFUSED',
      error instanceof Error ? error.message : 'This was refused.',
    );
  return null;
}

/** Sends every error as `application/problem+json`; what nobody foresaw is a plain 500 with an id, logged with its cause. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly log: Logger;

  constructor(log: Logger) {
    this.log = log;
  }

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) return;
    const problem = asProblem(error);
    const id = randomUUID();
    if (!problem) this.log.error({ id, err: error }, 'unforeseen error');
    else if (problem.status === 503) this.log.warn({ code: problem.code, err: error }, 'the database failed');
    const { status, code, message, extras } =
      problem ??
      new Problem(500, 'UNFORESEEN', 'Something went wrong on our side.', {
        remedy: `Try again; if it stays, report the number ${id}.`,
        values: { id },
      });
    const retryAfter = RETRY_AFTER[status];
    if (retryAfter) response.set('Retry-After', retryAfter);
    response
      .status(status)
      .type('application/problem+json')
      .send(
        JSON.stringify({
          type: 'about:blank',
          title: message,
          status,
          code,
          detail: message,
          ...extras,
          ...(!problem && { id }),
        }),
      );
  }
}
