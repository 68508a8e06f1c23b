import { faultOf } from '@soft-lark/core';
import { ValidationPipe, type ArgumentMetadata, type ValidationError } from '@nestjs/common';
import { BodyReading } from './body-reading.ts';
import { firstFaultsOf } from './known-fields.ts';
import { faultIn } from './field-faults.ts';
import { fieldProblem, MOST_FAULTS, Problem, type FieldProblem } from './problem.ts';
import { shapeFaults } from './shapes.ts';

function fieldProblems(errors: readonly ValidationError[], path = ''): FieldProblem[] {
  return errors.flatMap(({ property, value, constraints = {}, contexts = {}, children = [] }) => {
    const field = path ? `${path}.${property}` : property;
    const inside = shapeFaults(field, value);
    if (inside.length > 0) return inside;
    const own = Object.keys(constraints).map((rule) =>
      fieldProblem(field, rule === 'whitelistValidation' ? faultOf('unknown') : faultIn(contexts[rule])),
    );
    return [...own, ...fieldProblems(children, field)];
  });
}

const LONGEST_FAULT = 300;

/** A refusal that names the fields. */
export function invalid(all: readonly FieldProblem[]): Problem {
  const problems = all.slice(0, MOST_FAULTS).map(({ field, message, ...fault }) => ({
    field: field.slice(0, LONGEST_FAULT),
    message: message.slice(0, LONGEST_FAULT),
    ...fault,
  }));
  const [first] = problems;
  if (!first) return new Problem(422, 'INVALID', 'The request is not complete.');
  const { field, message, code, values } = first;
  return new Problem(422, 'INVALID', `${field}: ${message}.`, {
    remedy: 'Correct the fields named and send it again.',
    errors: problems,
    values: { context: 'field', field, fault: { code, ...(values && { values }) } },
  });
}

class SoftLarkValidation extends ValidationPipe {
  override transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    const fault = metadata.type === 'custom' ? null : new BodyReading().fault(value, metadata.data ?? '');
    if (fault) throw invalid([fault]);
    const unknown =
      metadata.type === 'body' && metadata.metatype ? firstFaultsOf(value, metadata.metatype, MOST_FAULTS) : [];
    // A few are told with all the rest that is wrong; where there are many, nothing else is looked at.
    if (unknown.length >= MOST_FAULTS) throw invalid(unknown);
    return super.transform(value, metadata);
  }
}

/** The one validation pipe: unknown fields are refused by name, every refused field is told with its path. */
export function validationPipe(): ValidationPipe {
  return new SoftLarkValidation({
    transform: true,
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    exceptionFactory: (errors) => invalid(fieldProblems(errors)),
  });
}
