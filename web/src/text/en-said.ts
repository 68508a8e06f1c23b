import { advice, line } from './en-said-advice.ts';
import { draft, missing, missingRemedy, not } from './en-said-draft.ts';
import { key, limit, lineSource, problem, remedy, row } from './en-said-limits.ts';
import { error, errorRemedy } from './en-said-errors.ts';
import { term } from './en-said-term.ts';
import { finding, fix, source } from './en-said-review.ts';

/** Everything the core has to say, by its codes. */
export const said = {
  advice,
  draft,
  error,
  errorRemedy,
  finding,
  fix,
  key,
  limit,
  line,
  lineSource,
  missing,
  missingRemedy,
  not,
  problem,
  remedy,
  row,
  source,
  term,
};
