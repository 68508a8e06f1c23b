import { ValidationPipe, type ArgumentMetadata, type ValidationError } from '@nestjs/common';
import { Problem, type FieldProblem } from './problem.ts';

function fieldProblems(errors: readonly ValidationError[], path = ''): FieldProblem[] {
  return errors.flatMap(({ property, constraints = {}, children = [] }) => {
    const field = path ? `${path}.${property}` : property;
    const own = Object.entries(constraints).map(([rule, message]) => ({
      field,
      message: rule === 'whitelistValidation' ? `${property} is not a field of this request` : message,
    }));
    return [...own, ...fieldProblems(children, field)];
  });
}

/** A zero byte, and half of a character: PostgreSQL keeps neither. */
const CANNOT_BE_KEPT = /[\0\p{Cs}]/u;

/** House choice: nothing that is sent is nested half as deep; what reads a body recursively must come to an end. */
const MOST_DEPTH = 40;

/** What no field could tell of itself: text that cannot be kept, and a body without end. */
function bodyProblems(value: unknown, path: string, depth = 0): FieldProblem[] {
  if (typeof value === 'string')
    return CANNOT_BE_KEPT.test(value) ? [{ field: path, message: 'holds characters that cannot be kept' }] : [];
  if (typeof value !== 'object' || value === null) return [];
  if (depth === MOST_DEPTH) return [{ field: path.split('.')[0] ?? '', message: 'is nested too deep' }];
  return Object.entries(value).flatMap(([name, inner]) => [
    ...bodyProblems(name, path),
    ...bodyProblems(inner, path ? `${path}.${name}` : name, depth + 1),
  ]);
}

function refuse(problems: readonly FieldProblem[]): Problem {
  const first = problems[0];
  return new Problem(422, 'INVALID', first ? `${first.field}: ${first.message}.` : 'The request is not complete.', {
    remedy: 'Correct the fields named and send it again.',
    errors: problems,
  });
}

class SoftLarkValidation extends ValidationPipe {
  override transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    const problems = metadata.type === 'custom' ? [] : bodyProblems(value, metadata.data ?? '');
    if (problems.length > 0) throw refuse(problems);
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
    exceptionFactory: (errors) => refuse(fieldProblems(errors)),
  });
}
