export type { Finding, Fix, FixCode, ReviewContext, ReviewRule, Severity } from './finding.types.ts';
export { MUTABLE_RULES, reviewRoutine } from './review-routine.ts';
export { REVIEW_FIGURES, REVIEW_RULES } from './review.data.ts';
