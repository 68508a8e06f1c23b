import {
  faultMessage,
  type ErrorCode,
  type Fault,
  type Refusal,
  type SoftLarkError,
  type Statement,
} from '@soft-lark/core';

/** One field that was refused: its path in the request body, why by code, and in English. */
export interface FieldProblem extends Statement {
  readonly field: string;
  readonly message: string;
}

export function fieldProblem(field: string, fault: Fault): FieldProblem {
  return { field, message: faultMessage(fault), ...fault };
}

/** What is told of a refused body: enough to mend it, never more than a page. */
export const MOST_FAULTS = 20;

/** What a problem may carry besides its sentence. */
export interface ProblemExtras {
  readonly remedy?: string;
  readonly errors?: readonly FieldProblem[];
  /** What a page that speaks by code fills into its own sentence. */
  readonly values?: SoftLarkError['values'];
  /** What is stored now, where a stale write was refused. */
  readonly current?: object;
}

/** A refusal on its way to the client as `application/problem+json`. */
export class Problem extends Error {
  readonly status: number;
  /** A refusal of the server, or what the core refused by. */
  readonly code: Refusal | ErrorCode;
  readonly extras: ProblemExtras;

  constructor(status: number, code: Refusal | ErrorCode, detail: string, extras: ProblemExtras = {}) {
    super(detail);
    this.name = 'Problem';
    this.status = status;
    this.code = code;
    this.extras = extras;
  }

  /** What the core refused, as the answer to whoever sent it. */
  static of({ code, message, remedy, values }: SoftLarkError): Problem {
    return new Problem(422, code, message, { remedy, values });
  }
}

/** Nothing of that id in this studio; whether it is anywhere else is not said. */
export function notFound(what: string): Problem {
  return new Problem(404, 'NOT_FOUND', `There is no such ${what} in this studio.`, {
    remedy: 'Go back to the list; it may have been removed.',
    values: { context: what },
  });
}

/** The write was made on an older version than what is stored. */
export function staleWrite(what: string, current: object): Problem {
  return new Problem(409, 'STALE_WRITE', `This ${what} was changed in another window meanwhile.`, {
    remedy: 'Your edit is kept. Take what is there now, or save yours over it.',
    current,
  });
}
