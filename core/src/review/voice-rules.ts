import { USUAL_RULES } from '../limits/index.ts';
import { problemStatement } from '../day/index.ts';
import { isForVoice } from '../shelf/index.ts';
import { wordsOf } from '../statement.ts';
import { dayIs } from '../voice/index.ts';
import { removeFix, swapFix } from './find-relative.ts';
import { ownStartFixes } from './own-start.ts';
import type { Fix, ReviewContext, Rule, Said } from './finding.types.ts';
import { ZONE_RULES } from './zone-rules.ts';

/** Problems of a step that are cautions, not keys. */
const CAUTION_CODES: ReadonlySet<string> = new Set([
  'CAUTION_ON_FILE',
  'NOT_FOR_YOUNG_VOICES',
  'NOT_UNDER_AGE',
  'NOT_ON_SUCH_A_DAY',
  'OFF_WHILE_RECOVERING',
  'BREATH_OFF_TODAY',
  'HOLDS_OFF',
  'GENTLE_ONLY',
  'MIDDLE_ONLY',
]);

const CLEARED_BY_CODE: Readonly<Record<string, 'start' | 'ceiling'>> = {
  START_ABOVE_CEILING: 'start',
  START_BELOW_FLOOR: 'start',
  LIMITS_CROSS: 'ceiling',
};

const problems: Rule = (reviewed) => {
  const { steps, context } = reviewed;
  return steps.flatMap((step): readonly Said[] => {
    const { id, exercise, problem } = step;
    if (!problem) return [];
    const isCaution = CAUTION_CODES.has(problem.code);
    const cleared = CLEARED_BY_CODE[problem.code];
    const back: readonly Fix[] = cleared
      ? [
          {
            said: { code: 'fix.back-to-voice' },
            patch: {
              op: 'set',
              stepId: id,
              settings: {},
              clear: [cleared, 'floor', 'startRule', 'floorRule', 'ceilingRule'],
            },
          },
        ]
      : [];
    return [
      {
        rule: isCaution ? 'caution' : 'cannot-be-sung',
        severity: isCaution ? 'stop' : 'warn',
        stepId: id,
        values: {
          name: exercise.name,
          problem: problemStatement(problem),
          // What the day leaves out is named in its own sentence.
          ...(problem.values?.['name'] !== undefined && { context: 'named' }),
        },
        fixes: [...ownStartFixes(step, reviewed), ...back, ...swapFix({ id, exercise }, steps, context), removeFix(id)],
      },
    ];
  });
};

const ownTop: Rule = ({ steps }) =>
  steps.flatMap(({ id, exercise, limits }): readonly Said[] => {
    const raised = limits?.entries.find(
      ({ side, rule, effect }) =>
        rule === 'override' && 'delta' in effect && (side === 'ceiling' ? effect.delta > 0 : effect.delta < 0),
    );
    if (!raised) return [];
    return [
      {
        rule: 'over-todays-limit',
        severity: 'warn',
        stepId: id,
        values: { name: exercise.name, note: { note: raised.result }, context: raised.side },
        fixes: [
          {
            said: { code: 'fix.back-to-limit' },
            patch: { op: 'set', stepId: id, settings: {}, clear: [raised.side, `${raised.side}Rule`] },
          },
        ],
      },
    ];
  });

const needs: Rule = ({ steps, context }) =>
  steps.flatMap(({ id, exercise }, index): readonly Said[] => {
    const before = new Set(steps.slice(0, index).map((step) => step.exercise.id));
    const missing = exercise.needs.filter((need) => !before.has(need) && !context.known.has(need));
    const [first] = missing.flatMap((need) => context.exercises.get(need) ?? []);
    if (!first) return [];
    const at = context.steps.findIndex((step) => step.id === id);
    return [
      {
        rule: 'needs-first',
        severity: 'warn',
        stepId: id,
        values: { name: exercise.name, first: first.name },
        fixes: [
          {
            said: { code: 'fix.add-before', values: { name: first.name } },
            patch: { op: 'add', exerciseId: first.id, at },
          },
          ...swapFix({ id, exercise }, steps, context),
        ],
      },
    ];
  });

/** Why there is no grit here today; `null` where there may be. */
function whyNoGrit(
  { conditions, history, rules = USUAL_RULES }: ReviewContext,
  isWarm: boolean,
): 'day' | 'again-today' | 'too-soon' | 'not-warm' | null {
  if (dayIs(conditions, 'grit-rests')) return 'day';
  if ((history?.daysSinceGrit ?? Infinity) < rules.grit.everyDays)
    return history?.daysSinceGrit === 0 ? 'again-today' : 'too-soon';
  return isWarm ? null : 'not-warm';
}

const grit: Rule = ({ steps, context }) =>
  steps.flatMap(({ id, exercise, problem }, index): readonly Said[] => {
    if (!exercise.grit || problem) return [];
    const isWarm = steps
      .slice(0, index)
      .some(
        (step) =>
          step.laid?.kind === 'pattern' && (step.exercise.stage === 'middle' || step.exercise.stage === 'registers'),
      );
    const why = whyNoGrit(context, isWarm);
    if (why === null) return [];
    return [
      {
        rule: 'grit',
        severity: 'stop',
        stepId: id,
        values: {
          name: exercise.name,
          context: why,
          conditions: wordsOf(
            'condition',
            context.conditions.filter((one) => one !== 'fresh'),
          ),
        },
        fixes: [...swapFix({ id, exercise }, steps, context), removeFix(id)],
      },
    ];
  });

const otherVoices: Rule = ({ steps, context }) =>
  steps
    .filter(({ exercise, problem }) => !problem && !isForVoice(exercise, context.voice.type))
    .map(({ id, exercise }) => ({
      rule: 'other-voices',
      severity: 'warn' as const,
      stepId: id,
      values: { name: exercise.name },
      fixes: swapFix({ id, exercise }, steps, context),
    }));

const fastBreaths: Rule = ({ steps }) =>
  steps.flatMap(({ id, exercise }, index): readonly Said[] => {
    const before = steps[index - 1]?.exercise;
    const isFast = (work: typeof exercise.work | undefined): boolean =>
      work?.kind === 'breath' && work.bursts !== undefined;
    if (!isFast(exercise.work) || !isFast(before?.work)) return [];
    return [
      {
        rule: 'fast-breaths',
        severity: 'warn',
        stepId: id,
        values: { name: exercise.name },
        fixes: [removeFix(id)],
      },
    ];
  });

/** Rules on what this voice may do today. */
export const VOICE_RULES: readonly Rule[] = [problems, ownTop, needs, grit, otherVoices, fastBreaths, ...ZONE_RULES];
