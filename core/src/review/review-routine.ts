import { isSungWork } from '../shelf/index.ts';
import { layRoutine } from '../routine/index.ts';
import type { Finding, ReviewContext, Reviewed, Said, Severity } from './finding.types.ts';
import { MINUTE_RULES } from './minute-rules.ts';
import { PROPORTION_RULES } from './proportion-rules.ts';
import { REVIEW_RULES } from './review.data.ts';
import { SCHOOL_RULES } from './school-rules.ts';
import { SHAPE_RULES } from './shape-rules.ts';
import { TIME_RULES } from './time-rules.ts';
import { VOICE_RULES } from './voice-rules.ts';
import { WISH_RULES } from './wish-rules.ts';

const RULES = [
  ...VOICE_RULES,
  ...MINUTE_RULES,
  ...PROPORTION_RULES,
  ...TIME_RULES,
  ...SHAPE_RULES,
  ...WISH_RULES,
  ...SCHOOL_RULES,
];
const WEIGHT: Readonly<Record<Severity, number>> = { stop: 0, warn: 1, note: 2 };

/** Rules whose findings stop: they are cautions, and nobody mutes them. */
const NEVER_MUTED: ReadonlySet<string> = new Set(['caution', 'grit']);

/** Rules a teacher may mute. */
export const MUTABLE_RULES: readonly string[] = REVIEW_RULES.filter((rule) => !NEVER_MUTED.has(rule));

function findingOf({ about, values = {}, fixes = [], ...said }: Said): Finding {
  const id = [said.rule, ...[said.stepId, about].flatMap((part) => part ?? [])].join(':');
  return { ...said, id, values, fixes };
}

/** Whether a finding was muted; a `stop` never is. */
function isMuted({ id, rule, severity }: Finding, muted: ReadonlySet<string>): boolean {
  return severity !== 'stop' && (muted.has(id) || muted.has(rule));
}

/**
 * Looks a routine over, drafted or made by hand, on one day.
 *
 * @returns findings, what stops first; each with what it says, and fixes to apply and take back. The
 * same finding keeps its id while the routine is edited.
 */
export function reviewRoutine(context: ReviewContext): readonly Finding[] {
  const laid = context.laid ?? layRoutine(context.steps, context);
  const sung = laid.steps.filter(({ exercise, problem }) => isSungWork(exercise) && !problem);
  const reviewed: Reviewed = { context, laid, steps: laid.steps, sung };
  const { muted = new Set() } = context;
  return RULES.flatMap((rule) => rule(reviewed))
    .map(findingOf)
    .filter((finding) => !isMuted(finding, muted))
    .sort((a, b) => WEIGHT[a.severity] - WEIGHT[b.severity]);
}
