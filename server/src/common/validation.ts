import { ValidationPipe, type ValidationError } from '@nestjs/common';
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

/** The one validation pipe: unknown fields are refused by name, every refused field is told with its path. */
export function validationPipe(): ValidationPipe {
  return new ValidationPipe({
    transform: true,
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    exceptionFactory: (errors) => {
      const problems = fieldProblems(errors);
      const first = problems[0];
      return new Problem(422, 'INVALID', first ? `${first.field}: ${first.message}.` : 'The request is not complete.', {
        remedy: 'Correct the fields named and send it again.',
        errors: problems,
      });
    },
  });
}
