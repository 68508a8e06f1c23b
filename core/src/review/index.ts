export type { Finding, Fix, ReviewContext, Severity } from './finding.types.ts';
export { MUTABLE_RULES, reviewRoutine } from './review-routine.ts';
export { REVIEW_FIGURES, REVIEW_SOURCES } from './review.data.ts';
export { minutesOf } from './minute-rules.ts';
