import { isOlderVoice, servesGoals } from '../day/index.ts';
import { isSungWork } from '../shelf/index.ts';
import { strongest, strongestName } from '../voice/index.ts';
import { loadAgainst, weightedMinutes } from '../past/index.ts';
import type { StatementValue } from '../statement.ts';
import { addFix, exerciseFor } from './find-relative.ts';
import type { Fix, Reviewed, Rule, Said } from './finding.types.ts';
import { REVIEW_FIGURES as FIGURES } from './review.data.ts';

/** Seconds of occluded work that are wanted, and what of the day or the voice wants so many. */
function occludedWanted({ context, laid }: Reviewed): {
  readonly seconds: number;
  readonly why: Readonly<Record<string, StatementValue>>;
} {
  const budgetSeconds = Math.min(laid.seconds, context.minutes * 60);
  const sungSeconds = laid.steps
    .filter(({ exercise }) => isSungWork(exercise))
    .reduce((sum, { seconds }) => sum + seconds, 0);
  const byDay = strongest(context.conditions, 'occluded');
  const name = strongestName(context.conditions, 'occluded');
  const day = name && { condition: { word: name, of: 'condition' as const }, context: 'day' };
  if (byDay?.of === 'sung') return { seconds: sungSeconds * FIGURES.occludedShareRecovering, why: { ...day } };
  if (byDay || isOlderVoice(context))
    return {
      seconds: Math.min(FIGURES.occludedMinutesTiredOrOlder * 60, budgetSeconds * FIGURES.occludedShareTiredOrOlder),
      why: day ?? { context: 'older' },
    };
  return { seconds: Math.min(FIGURES.occludedMinutes * 60, budgetSeconds * FIGURES.occludedShare), why: {} };
}

const occluded: Rule = (reviewed) => {
  const { context, sung } = reviewed;
  if (sung.length === 0 || context.kind === 'cool-down') return [];
  const has = sung
    .filter(({ exercise }) => exercise.stage === 'occluded' || exercise.resistance !== undefined)
    .reduce((sum, { seconds }) => sum + seconds, 0);
  const { seconds: wanted, why } = occludedWanted(reviewed);
  if (has >= wanted - FIGURES.occludedSlackSeconds) return [];
  const first = context.steps.findIndex(({ id }) => id === sung[0]?.id);
  const more = exerciseFor(context, 0, ({ stage }) => stage === 'occluded');
  const fixes: readonly Fix[] = more ? [addFix(more, Math.max(0, first))] : [];
  const said: Said =
    has === 0
      ? { rule: 'no-occluded', severity: 'warn', fixes }
      : {
          rule: 'little-occluded',
          severity: 'warn',
          values: { has: { seconds: has }, wanted: { seconds: wanted }, ...why },
          fixes,
        };
  return [said];
};

const load: Rule = ({ context: { history = {} }, steps }) => {
  const { weekMinutes = 0, usualWeekMinutes } = history;
  if (!usualWeekMinutes || steps.length === 0) return [];
  const { share, mark } = loadAgainst(weekMinutes + weightedMinutes(steps), usualWeekMinutes);
  if (!mark) return [];
  return [
    {
      rule: 'load-above-usual',
      severity: 'warn',
      values: { share: { decimal: share }, ...(mark === 'light-day' && { context: 'light-day' }) },
    },
  ];
};

const news: Rule = ({ context: { history = {}, known, kind }, steps }) => {
  const { daysSinceAnythingNew = 0, stuck = new Set() } = history;
  const hasNew = steps.some(({ exercise }) => !known.has(exercise.id));
  const stale: readonly Said[] =
    daysSinceAnythingNew >= FIGURES.nothingNewDays && !hasNew && steps.length > 0 && servesGoals(kind)
      ? [{ rule: 'nothing-new', severity: 'note' }]
      : [];
  return [
    ...stale,
    ...steps
      .filter(({ exercise }) => stuck.has(exercise.id))
      .map(({ id, exercise }): Said => ({
        rule: 'stuck',
        severity: 'note',
        stepId: id,
        values: { name: exercise.name },
      })),
  ];
};

export const TIME_RULES: readonly Rule[] = [occluded, load, news];
