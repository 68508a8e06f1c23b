import { isOlderVoice, servesGoals } from '../day/index.ts';
import { isSungWork } from '../shelf/index.ts';
import { strongest } from '../voice/index.ts';
import { loadAgainst, weightedMinutes } from '../past/index.ts';
import { exerciseFor } from './find-relative.ts';
import type { Fix, Reviewed, Rule, Said } from './finding.types.ts';
import { minutesOf } from './minute-rules.ts';
import { REVIEW_FIGURES as FIGURES } from './review.data.ts';

/** Seconds of occluded work that are wanted, and why so many. */
function occludedWanted({ context, laid }: Reviewed): { readonly seconds: number; readonly why: string } {
  const budgetSeconds = Math.min(laid.seconds, context.minutes * 60);
  const sungSeconds = laid.steps
    .filter(({ exercise }) => isSungWork(exercise))
    .reduce((sum, { seconds }) => sum + seconds, 0);
  const byDay = strongest(context.conditions, 'occluded');
  if (byDay?.of === 'sung') return { seconds: sungSeconds * FIGURES.occludedShareRecovering, why: byDay.why };
  if (byDay || isOlderVoice(context))
    return {
      seconds: Math.min(FIGURES.occludedMinutesTiredOrOlder * 60, budgetSeconds * FIGURES.occludedShareTiredOrOlder),
      why: byDay?.why ?? 'an older voice',
    };
  return { seconds: Math.min(FIGURES.occludedMinutes * 60, budgetSeconds * FIGURES.occludedShare), why: 'this voice' };
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
  const fixes: readonly Fix[] = more
    ? [{ label: `Add “${more.name}”`, patch: { op: 'add', exerciseId: more.id, at: Math.max(0, first) } }]
    : [];
  const said: Said =
    has === 0
      ? { rule: 'no-occluded', severity: 'warn', message: 'There is no occluded work.', fixes }
      : {
          rule: 'little-occluded',
          severity: 'warn',
          message: `${minutesOf(has)} of occluded work; ${why} wants ${minutesOf(wanted)}.`,
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
      message: `With this the week comes to ${share.toFixed(1)} times the usual${mark === 'light-day' ? '; a light day would be wise' : ''}.`,
    },
  ];
};

const news: Rule = ({ context: { history = {}, known, kind }, steps }) => {
  const { daysSinceAnythingNew = 0, stuck = new Set() } = history;
  const hasNew = steps.some(({ exercise }) => !known.has(exercise.id));
  const stale: readonly Said[] =
    daysSinceAnythingNew >= FIGURES.nothingNewDays && !hasNew && steps.length > 0 && servesGoals(kind)
      ? [{ rule: 'nothing-new', severity: 'note', message: 'Nothing has been new for four weeks.' }]
      : [];
  return [
    ...stale,
    ...steps
      .filter(({ exercise }) => stuck.has(exercise.id))
      .map(({ id, exercise }): Said => ({
        rule: 'stuck',
        severity: 'note',
        stepId: id,
        message: `“${exercise.name}” has never gone well at this setting, and it is still the same.`,
      })),
  ];
};

export const TIME_RULES: readonly Rule[] = [occluded, load, news];
