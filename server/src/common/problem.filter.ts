import { randomUUID } from 'node:crypto';
import { Catch, HttpException, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { SoftLarkError } from '@soft-lark/core';
import type { Response } from 'express';
import type { Logger } from 'pino';
import { Problem } from './problem.ts';

const CODES: Readonly<Record<number, string>> = {
  400: 'BAD_REQUEST',
  401: 'SIGNED_OUT',
  403: 'FORBIDDEN',
  404: 'NOT_FOUND',
  413: 'TOO_LARGE',
  429: 'TOO_MANY_TRIES',
};

/** PostgreSQL classes 08 (connection) and 57P (shutting down), and the sockets under them. */
const DATABASE_AWAY = /^(08|57P|ECONNREFUSED|ECONNRESET|EPIPE|ENOENT)/;

function field(error: unknown, name: string): unknown {
  return typeof error === 'object' && error !== null && name in error
    ? (error as Record<string, unknown>)[name]
    : undefined;
}

function isDatabaseAway(error: unknown): boolean {
  const code = field(error, 'code') ?? field(field(error, 'driverError'), 'code');
  const message = error instanceof Error ? error.message : '';
  return (
    (typeof code === 'string' && DATABASE_AWAY.test(code)) ||
    /Connection terminated|connection timeout|Driver not Connected/i.test(message)
  );
}

function asProblem(error: unknown): Problem | null {
  if (error instanceof Problem) return error;
  if (error instanceof SoftLarkError) return new Problem(422, error.code, error.message, { remedy: error.remedy });
  if (isDatabaseAway(error)) {
    return new Problem(503, 'DATABASE_AWAY', 'The database does not answer just now.', {
      remedy: 'Nothing is lost; it is tried again in a moment.',
    });
  }
  const status = error instanceof HttpException ? error.getStatus() : Number(field(error, 'status') ?? 500);
  if (status === 413)
    return new Problem(413, 'TOO_LARGE', 'That is more at once than can be taken.', { remedy: 'Send less at a time.' });
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
    const { status, code, message, extras } =
      problem ??
      new Problem(500, 'UNFORESEEN', 'Something went wrong on our side.', {
        remedy: `Try again; if it stays, report the number ${id}.`,
      });
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
