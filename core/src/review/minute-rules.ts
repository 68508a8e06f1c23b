import { servesGoals } from '../day/index.ts';
import { isForVoice, isSungWork, type Exercise } from '../shelf/index.ts';
import { STAGES } from '../limits/index.ts';
import { canFit, secondsToGive } from '../fit/index.ts';
import { addFix, exerciseFor } from './find-relative.ts';
import type { Fix, Reviewed, Rule } from './finding.types.ts';
import { REVIEW_FIGURES as FIGURES } from './review.data.ts';

const SHORTEN: Fix = { said: { code: 'fix.shorten' }, patch: { op: 'fit' } };

/** House choice: fewer seconds than these are not worth a press. */
const WORTH_GIVING = 15;

const overBudget: Rule = ({ context, laid }) => {
  const { minutes, steps } = context;
  const over = laid.seconds - minutes * 60;
  if (over <= 0.05) return [];
  const enough = Math.ceil(laid.seconds / 60);
  const allow: Fix = {
    said: { code: 'fix.allow', values: { count: enough } },
    patch: { op: 'minutes', minutes: enough },
  };
  const fits = canFit(steps, minutes * 60, context);
  return [
    {
      rule: 'over-budget',
      severity: 'warn',
      values: { over: { seconds: over }, count: minutes, ...(!fits && { context: 'never' }) },
      fixes: fits ? [SHORTEN, allow] : [allow],
    },
  ];
};

/** One more exercise for free minutes: no heavier than what is here, and short enough. */
function oneMore({ context, sung }: Reviewed, free: number): readonly Fix[] {
  const { voice, steps, exercises } = context;
  const mostLoad = Math.max(1, ...sung.map(({ exercise }) => exercise.load));
  const rankOf = (exercise: Exercise | undefined): number => (exercise ? STAGES.indexOf(exercise.stage) : 0);
  const suits = (one: Exercise): boolean =>
    isSungWork(one) &&
    one.stage !== 'cool' &&
    one.load <= mostLoad &&
    isForVoice(one, voice.type) &&
    (one.styles.length === 0 || one.styles.includes(voice.style));
  const serves = (one: Exercise): boolean => one.goals.some((goal) => voice.goals.includes(goal));
  const more =
    exerciseFor(context, sung.length, (one) => serves(one) && suits(one), free) ??
    exerciseFor(context, sung.length, suits, free);
  if (!more) return [];
  const later = steps.findIndex(({ exerciseId }) => rankOf(exercises.get(exerciseId)) > rankOf(more));
  const at = later < 0 ? steps.length : later;
  return [addFix(more, at)];
}

const underBudget: Rule = (reviewed) => {
  const { context, laid, steps } = reviewed;
  const free = context.minutes * 60 - laid.seconds;
  if (steps.length === 0 || laid.seconds >= context.minutes * 60 * FIGURES.underBudgetShare) return [];
  const minutes = Math.max(1, Math.ceil(laid.seconds / 60));
  const keys: readonly Fix[] =
    secondsToGive(context.steps, context) >= WORTH_GIVING
      ? [{ said: { code: 'fix.more-keys' }, patch: { op: 'fit' } }]
      : [];
  return [
    {
      rule: 'under-budget',
      severity: 'note',
      values: { count: context.minutes, free: { seconds: free } },
      fixes: [
        ...keys,
        ...(servesGoals(context.kind) ? oneMore(reviewed, free) : []),
        { said: { code: 'fix.set-minutes', values: { count: minutes } }, patch: { op: 'minutes', minutes } },
      ],
    },
  ];
};

/** Rules on the minutes of a routine: too long for them, or minutes that nothing is done with. */
export const MINUTE_RULES: readonly Rule[] = [overBudget, underBudget];
