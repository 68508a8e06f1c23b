import { advice, line } from './en-said-advice.ts';
import { draft, missing, missingRemedy, not } from './en-said-draft.ts';
import { key, limit, lineSource, problem, remedy, row } from './en-said-limits.ts';
import { term } from './en-said-term.ts';
import { importing, lost } from './en-said-files.ts';
import { finding, fix, source } from './en-said-review.ts';

/** What the core has to say inside a studio, by its codes; what it refuses is said everywhere. */
export const said = {
  advice,
  draft,
  finding,
  fix,
  import: importing,
  key,
  limit,
  line,
  lineSource,
  lost,
  missing,
  missingRemedy,
  not,
  problem,
  remedy,
  row,
  source,
  term,
};
