import { faultOf } from '@soft-lark/core';
import { fieldProblem, Problem } from '../common/index.ts';

export function emailTaken(): Problem {
  return new Problem(409, 'EMAIL_TAKEN', 'There is an account with this e-mail address already.', {
    remedy: 'Sign in instead, or use another address.',
    errors: [fieldProblem('email', faultOf('has-account'))],
  });
}
