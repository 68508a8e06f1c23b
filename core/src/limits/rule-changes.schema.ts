import { z } from 'zod';
import { broken } from '../faults.ts';
import { isRulePath } from './change-rules.ts';

/** Figures of the rule table, by row; whether they make sense together `changeRules` says. */
export const ruleChangesSchema = z.record(z.string(), z.number()).superRefine((rules, context) => {
  for (const path of Object.keys(rules))
    if (!isRulePath(path)) context.addIssue({ code: 'custom', path: [path], ...broken('no-rule-row') });
});
